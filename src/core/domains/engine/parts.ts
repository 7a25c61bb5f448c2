/** Places round an engine, seen from above. */
export const parts = {
  'engine.battery': 'battery',
  'engine.switch': 'switch',
  'engine.fuel': 'fuel',
  'engine.ground': 'wheels and drives',
  'engine.crank': 'crank',
  'engine.front': 'front cover',
  'engine.plugs': 'plugs',
  'engine.leads': 'leads',
  'engine.unit': 'unit',
  'engine.bore': 'bore and oil pump',
  'engine.oil': 'oil',
  'engine.capsule': 'vacuum hose',
  'engine.flywheel': 'flywheel',
  'engine.throttle': 'throttle',
  'engine.water': 'cooling water'
} as const;
