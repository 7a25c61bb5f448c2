/** The usual cautions. They do not replace the maker's data, local rules or licensed practice. */
export const hazards = {
  rotating: {
    title: 'Turning parts take hands, hair and sleeves.',
    text: 'Isolate before reaching in; stay out of the plane of fan and wheel.',
    defer: 'machine guarding rules'
  },
  'inadvertent-start': {
    title: 'Nobody may start it.',
    text: 'Battery lead off, key in your pocket, tag on; one voice gives the orders.',
    defer: 'the workplace\u2019s lock-out rules'
  },
  'vehicle-move': {
    title: 'It must not roll or tip.',
    text: 'Wheels blocked, drives in neutral, stand locked.',
    defer: 'the workplace\u2019s rules'
  },
  'pinch-plughole': {
    title: 'Fingers stay out of the plug hole.',
    text: 'Feel for air outside the hole, and only while it is turned by hand; otherwise use a gauge or whistle.',
    defer: 'the maker\u2019s data'
  },
  pinch: {
    title: 'Gear teeth close on fingers.',
    text: 'Hold the gear by its rim; nobody turns while hands are in.',
    defer: 'the maker\u2019s data'
  },
  'barring-tool': {
    title: 'A bar left on the crank is thrown.',
    text: 'Tool off before any power; stand clear of its swing; never lever on the fan.',
    defer: 'the maker\u2019s barring limits'
  },
  'hv-ignition': {
    title: 'High voltage.',
    text: 'Isolate and ground before a lead is handled, pull with insulated pliers; whoever wears a pacemaker keeps away.',
    defer: 'occupational health advice'
  },
  battery: {
    title: 'Battery gas and short circuits burn.',
    text: 'Earth side off first and on last; no rings or watches; air the bay.',
    defer: 'the maker\u2019s data'
  },
  'dropped-part': {
    title: 'A part in the case can mean a full strip.',
    text: 'Openings blocked, small parts counted out and in.',
    defer: 'the maker\u2019s data'
  },
  'hot-surface': {
    title: 'Hot surfaces burn.',
    text: 'Gloves and sleeves; keep off exhaust and radiator.',
    defer: 'the maker\u2019s data'
  },
  solvent: {
    title: 'Solvent burns and harms lungs.',
    text: 'Air the bay, gloves on, no sparks.',
    defer: 'the solvent\u2019s own data sheet'
  },
  overtorque: {
    title: 'Over-tightening breaks castings.',
    text: 'Torque wrench, in the stages of the data sheet.',
    defer: 'the maker\u2019s torque figures'
  },
  flying: {
    title: 'Pins, springs and bars fly.',
    text: 'Goggles on, pins supported, tools counted; stand aside at the first turn.',
    defer: 'the workplace\u2019s rules'
  },
  lift: {
    title: 'Heavy parts crush.',
    text: 'Hoist or two people, sound sling, weight known, stand locked.',
    defer: 'lifting equipment rules'
  },
  'spring-release': {
    title: 'A loaded spring lets go.',
    text: 'Know which way it pushes before you loosen; hold while releasing.',
    defer: 'the maker\u2019s order of assembly'
  },
  machining: {
    title: 'Machining ruins hands, eyes and parts.',
    text: 'Guard on, goggles, work held soundly, small cuts.',
    defer: 'machine shop rules'
  },
  'oil-starve': {
    title: 'No oil pressure wrecks bearings.',
    text: 'Prime, watch the gauge, stop in the time the data sheet gives.',
    defer: 'the engine\u2019s own data'
  },
  'fuel-fire': {
    title: 'Fuel burns.',
    text: 'Extinguisher at hand, doors open, no spark, drips caught, rags away.',
    defer: 'fire rules and the workplace\u2019s permit'
  },
  'first-start': {
    title: 'First start: backfire, kick, fuel, exhaust gas.',
    text: 'Extinguisher at hand, people clear of fan and intake, doors open, stop if no oil pressure.',
    defer: 'local rules and licensed practice'
  },
  exhaust: {
    title: 'Exhaust gas kills indoors.',
    text: 'Run the exhaust outside or extract it to the open air; alarm on.',
    defer: 'workplace exposure limits'
  },
  noise: {
    title: 'Noise takes hearing for good.',
    text: 'Ear protection from the first start.',
    defer: 'noise rules'
  },
  detonation: {
    title: 'Knock holes pistons.',
    text: 'Back off at the first knock under load; total within its limit; the fuel it is set for.',
    defer: 'the engine\u2019s data limits'
  },
  eyes: {
    title: 'Pins, springs and chips fly at eyes.',
    text: 'Goggles on before the first blow.',
    defer: 'the workplace\u2019s rules'
  },
  kickback: {
    title: 'It can kick back.',
    text: 'A proper grip, a retarded start, the ignition grounded until ready.',
    defer: 'the maker\u2019s data'
  },
  backfire: {
    title: 'It can backfire.',
    text: 'Air filter or flame trap on, no face over the intake, extinguisher at hand.',
    defer: 'the fire code'
  },
  'hot-coolant': {
    title: 'Hot coolant scalds.',
    text: 'Never open a hot cap; wait until the hose can be pressed by hand.',
    defer: 'the maker\u2019s data'
  },
  stand: {
    title: 'An engine on a stand tips or swings.',
    text: 'A rated stand, its swivel locked, its bolts checked; nobody stands where it would fall.',
    defer: 'the stand maker\u2019s rating'
  }
} as const;
