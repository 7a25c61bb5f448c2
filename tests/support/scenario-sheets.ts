import pedestal from '../scenarios/pedestal-drive.json' with { type: 'json' };
import recurve from '../scenarios/recurve.json' with { type: 'json' };

/** Data sheets of the worked journeys: what their engines' plates and cards say, as it is typed. */
const p = pedestal.inputs;
export const PEDESTAL_SHEET: Record<string, string> = {
  driveKind: 'pedestal',
  floatMinMm: String(p.spec.minMm),
  floatMaxMm: String(p.spec.maxMm),
  gearTeeth: String(p.index.gearTeeth),
  terminalOffsetDeg: String(p.index.terminals.firstOffsetDeg),
  housingBearingDeg: String(p.index.housing.preferredBearingDeg),
  numberOneTower: 'factory',
  gearHand: p.gearHand,
  pumpDrive: 'blade',
  pumpSlotDepthMm: String(p.engagement.slotDepthMm),
  minEngagementMm: String(p.engagement.minEngagementMm),
  minClearanceMm: String(p.engagement.minClearanceMm),
  gasketMm: String(p.engagement.gasketMm)
};

const r = recurve.inputs;
export const RECURVE_SHEET: Record<string, string> = {
  cylinders: '6',
  firingOrder: '1-5-3-6-2-4',
  rotorDirection: 'cw',
  advanceKind: 'weights',
  idleRpm: String(r.limits.idleRpm),
  advanceBand: r.spec.map((s) => `${s.rpm} ${s.minDeg}-${s.maxDeg}`).join('; '),
  totalMaxBtdc: String(r.limits.totalMaxBtdc),
  startMinBtdc: String(r.initial.minBtdc),
  startMaxBtdc: String(r.initial.maxBtdc),
  creepMaxDeg: String(r.limits.creepMaxDeg),
  springARate: String(r.from[0]!.rateNPerMm),
  springAPreload: String(r.from[0]!.preloadN),
  springBRate: String(r.from[1]!.rateNPerMm),
  springBPreload: String(r.from[1]!.preloadN),
  extensionMmPerDeg: String(r.extensionMmPerDeg),
  stopDeg: '22'
};
