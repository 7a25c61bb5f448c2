/** An injection pump with its elements in line, and the end at which a pump is driven. */
export const parts = {
  'pump.elements': 'elements',
  'pump.tappets': 'tappets',
  'pump.valves': 'delivery valves',
  'pump.rack': 'rack',
  'pump.governor': 'governor',
  'pump.gallery': 'gallery',
  'pump.coupling': 'coupling',
  'pump.lock': 'lock',
  'pump.seals': 'seals',
  'pump.tag': 'tag',
  'end.flange': 'flange',
  'end.taper': 'taper',
  'end.hub': 'bore of the gear',
  'end.key': 'key',
  'end.gear': 'gear',
  'end.nut': 'nut',
  'end.lock': 'lock',
  'end.bracket': 'rear support',
  'end.oil': 'oil feed'
} as const;
