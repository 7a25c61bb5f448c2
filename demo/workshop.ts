import type { GaugeKind } from '../src/core/tray/gauge-kinds.ts';

/** Fallowmere Works: a made-up workshop that keeps a canal's machinery alive. Every name and figure is invented. */
export const staff = [
  { name: 'Ines Farrow', role: 'technician' },
  { name: 'Tobias Renn', role: 'technician' },
  { name: 'Marit Oakes', role: 'lead' },
  { name: 'Jory Pell', role: 'apprentice' }
];

export interface DemoGauge {
  name: string;
  kind: GaugeKind;
  resolution: number;
  accuracy: number;
  perRevMm?: number;
  calibratedOn: string;
  /** what one reading of this workshop scatters, where it has been measured, and from how many repeats less one */
  scatter?: number;
  scatterDof?: number;
}

export const gauges: DemoGauge[] = [
  {
    name: 'Wheel 360, half degrees',
    kind: 'wheel',
    resolution: 0.5,
    accuracy: 0.25,
    calibratedOn: '2026-03-02',
    scatter: 0.1,
    scatterDof: 23
  },
  {
    name: 'Dial 0.01, long probe',
    kind: 'dial',
    resolution: 0.01,
    accuracy: 0.02,
    perRevMm: 1,
    calibratedOn: '2026-03-02',
    scatter: 0.003,
    scatterDof: 30
  },
  {
    name: 'Strobe, plain',
    kind: 'strobe',
    resolution: 0,
    accuracy: 0.5,
    calibratedOn: '2026-03-02',
    scatter: 0.12,
    scatterDof: 17
  },
  {
    name: 'Blades, metric set',
    kind: 'blade',
    resolution: 0.01,
    accuracy: 0.01,
    calibratedOn: '2026-03-02',
    scatter: 0.004,
    scatterDof: 19
  },
  {
    name: 'Blades, certified',
    kind: 'blade',
    resolution: 0,
    accuracy: 0.005,
    calibratedOn: '2026-03-02',
    scatter: 0.004,
    scatterDof: 19
  },
  {
    name: 'Micrometer, half thou',
    kind: 'micrometer',
    resolution: 0.0127,
    accuracy: 0.0127,
    calibratedOn: '2026-03-02',
    scatter: 0.002,
    scatterDof: 25
  },
  {
    name: 'Depth gauge 0.02',
    kind: 'depth',
    resolution: 0.02,
    accuracy: 0.04,
    calibratedOn: '2026-03-02',
    scatter: 0.008,
    scatterDof: 11
  },
  { name: 'Steel rule, half millimetres', kind: 'rule', resolution: 0.5, accuracy: 0.1, calibratedOn: '2026-02-11' },
  { name: 'Torque wrench 10 to 60', kind: 'torque', resolution: 0.5, accuracy: 0.8, calibratedOn: '2026-02-11' },
  {
    name: 'Tachometer',
    kind: 'tacho',
    resolution: 10,
    accuracy: 15,
    calibratedOn: '2026-02-11',
    scatter: 4,
    scatterDof: 9
  },
  { name: 'Oil gauge', kind: 'pressure', resolution: 5, accuracy: 10, calibratedOn: '2026-02-11' }
];

interface DemoPart {
  name: string;
  kind: 'packing' | 'shim' | 'ring';
  thicknessMm: number;
  uMm: number;
  count: number;
}
/** Packings, shims and rings, each as it was measured. */
export const parts: DemoPart[] = [
  { name: 'PK-08', kind: 'packing', thicknessMm: 0.081, uMm: 0.004, count: 3 },
  { name: 'PK-12', kind: 'packing', thicknessMm: 0.117, uMm: 0.004, count: 1 },
  { name: 'PK-20', kind: 'packing', thicknessMm: 0.203, uMm: 0.005, count: 3 },
  { name: 'SH-10', kind: 'shim', thicknessMm: 0.102, uMm: 0.004, count: 4 },
  { name: 'SH-25', kind: 'shim', thicknessMm: 0.252, uMm: 0.005, count: 2 },
  { name: 'SH-50', kind: 'shim', thicknessMm: 0.498, uMm: 0.006, count: 1 },
  { name: 'RG-15', kind: 'ring', thicknessMm: 1.52, uMm: 0.01, count: 2 },
  { name: 'RG-20', kind: 'ring', thicknessMm: 2.01, uMm: 0.01, count: 2 }
];

/** Springs as weights and lengths rated them, and stops in crank degrees. */
export const springs = [
  { name: 'S-03', rateNPerMm: 0.8, preloadN: 1.1, count: 2 },
  { name: 'S-08', rateNPerMm: 1.1, preloadN: 1.9, count: 1 },
  { name: 'S-14', rateNPerMm: 1.3, preloadN: 2.1, count: 2 },
  { name: 'S-22', rateNPerMm: 1.9, preloadN: 2.6, count: 1 },
  { name: 'S-31', rateNPerMm: 2.6, preloadN: -0.9, count: 1 },
  { name: 'S-40', rateNPerMm: 3.4, preloadN: 0.4, count: 2 }
];
export const stops = [
  { name: 'stop 9', deg: 18 },
  { name: 'stop 10', deg: 20 },
  { name: 'stop 11', deg: 22 },
  { name: 'stop 12', deg: 24 }
];

type Sheet = Record<string, [given: string, unit?: string | null]>;
export interface DemoEngine {
  name: string;
  summary: string;
  source: string;
  sheet: Sheet;
}

export const engines: DemoEngine[] = [
  {
    name: 'Lock 4 pump',
    summary: 'four-cylinder petrol, distributor on a pedestal drive',
    source: 'works card 14',
    sheet: {
      cycle: ['four-stroke'],
      firedBy: ['distributor'],
      cylinders: ['4', 'count'],
      firingOrder: ['1-2-4-3'],
      runningDirection: ['cw'],
      strokeMm: ['93.4', 'mm'],
      rodMm: ['168.2', 'mm'],
      damperDiameterMm: ['164', 'mm'],
      ringGearTeeth: ['108', 'count'],
      backlashDeg: ['15', 'deg'],
      reversal: ['allowed'],
      tdcWithinDeg: ['0.5', 'deg'],
      rotorDirection: ['ccw'],
      ratio: ['0.5'],
      rimDiameterMm: ['82', 'mm'],
      gearTeeth: ['15', 'count'],
      vacuumUnit: ['none'],
      driveKind: ['pedestal'],
      floatMinMm: ['0.12', 'mm'],
      floatMaxMm: ['0.22', 'mm'],
      pumpDrive: ['blade'],
      pumpSlotDepthMm: ['9.0', 'mm'],
      minEngagementMm: ['5.5', 'mm'],
      minClearanceMm: ['0.5', 'mm'],
      gasketMm: ['0.8', 'mm'],
      floatLengthMm: ['62', 'mm'],
      housingMetal: ['aluminium'],
      shaftMetal: ['steel'],
      hotC: ['85', 'C'],
      gearHand: ['right'],
      gearPitchMm: ['31', 'mm'],
      helixDeg: ['41', 'deg'],
      backlashMm: ['0.08', 'mm'],
      gearFaceMm: ['22', 'mm'],
      camMaterial: ['steel-iron-gear'],
      gearMaterial: ['nitrided-iron'],
      terminalOffsetDeg: ['156', 'deg'],
      housingBearingDeg: ['10', 'deg'],
      numberOneTower: ['factory'],
      staticBtdc: ['7 before', 'deg'],
      staticMinBtdc: ['6 before', 'deg'],
      staticMaxBtdc: ['8 before', 'deg'],
      idleRpm: ['600', 'rpm'],
      clampTorqueNm: ['18', 'Nm']
    }
  },
  {
    name: 'Ropeway winch',
    summary: 'six-cylinder petrol, weights and vacuum advance',
    source: 'works card 22',
    sheet: {
      cycle: ['four-stroke'],
      firedBy: ['distributor'],
      cylinders: ['6', 'count'],
      firingOrder: ['1-5-3-6-2-4'],
      runningDirection: ['cw'],
      strokeMm: ['4.07', 'in'],
      rodMm: ['7.61', 'in'],
      damperDiameterMm: ['7.25', 'in'],
      ringGearTeeth: ['124', 'count'],
      backlashDeg: ['12', 'deg'],
      reversal: ['allowed'],
      tdcWithinDeg: ['0.5', 'deg'],
      rotorDirection: ['cw'],
      ratio: ['0.5'],
      rimDiameterMm: ['3.25', 'in'],
      shankWithinMm: ['0.05', 'mm'],
      seatWithinMm: ['0.3', 'mm'],
      tangWithinMm: ['0.5', 'mm'],
      heightWithinMm: ['6', 'mm'],
      bushPlayMaxMm: ['0.06', 'mm'],
      topFloatMaxMm: ['0.15', 'mm'],
      gearTeeth: ['16', 'count'],
      vacuumUnit: ['fitted'],
      driveKind: ['own-gear'],
      floatMinMm: ['0.25', 'mm'],
      floatMaxMm: ['0.60', 'mm'],
      pumpDrive: ['hexagon'],
      pumpSlotDepthMm: ['14', 'mm'],
      minEngagementMm: ['8', 'mm'],
      minClearanceMm: ['0.8', 'mm'],
      gasketMm: ['0.6', 'mm'],
      floatLengthMm: ['74', 'mm'],
      housingMetal: ['cast-iron'],
      shaftMetal: ['steel'],
      hotC: ['90', 'C'],
      gearHand: ['left'],
      gearModuleMm: ['2.5', 'module'],
      gearPitchMm: ['47.3', 'mm'],
      gearBoreMm: ['12.7', 'mm'],
      gearOutsideMm: ['52.1', 'mm'],
      helixDeg: ['38', 'deg'],
      backlashMm: ['0.12', 'mm'],
      gearFaceMm: ['26', 'mm'],
      camMaterial: ['cast-iron'],
      gearMaterial: ['cast-iron'],
      installedMinMm: ['101.4', 'mm'],
      installedMaxMm: ['101.8', 'mm'],
      terminalOffsetDeg: ['40', 'deg'],
      housingBearingDeg: ['300', 'deg'],
      numberOneTower: ['any'],
      tipRadiusMm: ['32', 'mm'],
      tipWidthMm: ['9', 'mm'],
      terminalWidthMm: ['5', 'mm'],
      tipGapMm: ['0.8', 'mm'],
      triggerShiftDeg: ['9', 'deg'],
      staticBtdc: ['8 before', 'deg'],
      staticMinBtdc: ['7 before', 'deg'],
      staticMaxBtdc: ['9 before', 'deg'],
      idleRpm: ['650', 'rpm'],
      clampTorqueNm: ['15 lbft', 'lbft'],
      advanceKind: ['weights'],
      triggerKind: ['contacts'],
      contactGapMinMm: ['0.35', 'mm'],
      contactGapMaxMm: ['0.45', 'mm'],
      dwellMinDeg: ['34', 'deg'],
      dwellMaxDeg: ['40', 'deg'],
      advanceBand: ['650 7-11; 1000 7-12; 1800 19-24; 2600 30-34; 4200 30-34'],
      totalMaxBtdc: ['32 before', 'deg'],
      startMinBtdc: ['6 before', 'deg'],
      startMaxBtdc: ['11 before', 'deg'],
      creepMaxDeg: ['0.5', 'deg'],
      scatterMaxDeg: ['2', 'deg'],
      springARate: ['1.9'],
      springAPreload: ['2.6'],
      springBRate: ['3.4'],
      springBPreload: ['0.4'],
      springsRatePm: ['0.04'],
      springsForcePm: ['0.08'],
      extensionMmPerDeg: ['0.11'],
      stopDeg: ['22', 'deg'],
      vacuumCurve: ['12 0; 20 4; 30 9; 40 14'],
      vacuumTolDeg: ['2', 'deg'],
      vacuumLossMax: ['3'],
      idleKpa: ['48 kPa', 'kPa'],
      cruiseRpm: ['2200', 'rpm'],
      cruiseKpa: ['34 kPa', 'kPa'],
      lobeToleranceDeg: ['0.5', 'deg'],
      tapeReachDeg: ['40', 'deg'],
      ivoBtdc: ['9', 'deg'],
      ivcAbdc: ['51', 'deg'],
      evoBbdc: ['48', 'deg'],
      evcAtdc: ['12', 'deg']
    }
  },
  {
    name: 'Generator shed',
    summary: 'three-cylinder diesel, inline injection pump',
    source: 'works card 31',
    sheet: {
      cycle: ['four-stroke'],
      firedBy: ['pump'],
      cylinders: ['3', 'count'],
      firingOrder: ['1-3-2'],
      runningDirection: ['ccw'],
      strokeMm: ['110', 'mm'],
      rodMm: ['205', 'mm'],
      damperDiameterMm: ['210', 'mm'],
      ringGearTeeth: ['132', 'count'],
      backlashDeg: ['10', 'deg'],
      reversal: ['allowed'],
      tdcWithinDeg: ['0.4', 'deg'],
      pumpCode: ['KD 3 R 12'],
      pumpVariant: ['9 mm, cam F'],
      pumpDirection: ['ccw'],
      pumpRatio: ['0.5'],
      pumpBtdc: ['17 before', 'deg'],
      pumpMinBtdc: ['16 before', 'deg'],
      pumpMaxBtdc: ['18 before', 'deg'],
      chartCode: ['KD 3 R 12'],
      chartKind: ['lift-to-closure'],
      closureMm: ['2.19', 'mm'],
      boltRadiusMm: ['43', 'mm'],
      slotAdvanceDeg: ['2.5', 'deg'],
      slotRetardDeg: ['3.5', 'deg'],
      pumpGearTeeth: ['49', 'count'],
      finalTorqueNm: ['34', 'Nm'],
      firstTorqueNm: ['12', 'Nm'],
      lockBtdc: ['11.4 before', 'deg'],
      lockWithinDeg: ['0.2', 'deg'],
      gearOffsetBtdc: ['4.5 before', 'deg'],
      pinWithinDeg: ['1.2', 'deg'],
      proofWithinDeg: ['1.2', 'deg'],
      elementWithinDeg: ['0.6', 'deg'],
      camVelocity: ['0.21'],
      tappetStepMm: ['0.05', 'mm'],
      closureMinMm: ['2.10', 'mm'],
      closureMaxMm: ['2.26', 'mm'],
      headGapMinMm: ['0.3', 'mm'],
      idleMinRpm: ['820', 'rpm'],
      idleMaxRpm: ['880', 'rpm']
    }
  },
  {
    name: 'Dredger Otter',
    summary: 'four-cylinder diesel, rotary pump on a keyless taper',
    source: 'works card 35',
    sheet: {
      cycle: ['four-stroke'],
      firedBy: ['pump'],
      cylinders: ['4', 'count'],
      firingOrder: ['1-3-4-2'],
      runningDirection: ['cw'],
      strokeMm: ['118', 'mm'],
      rodMm: ['214', 'mm'],
      damperDiameterMm: ['230', 'mm'],
      ringGearTeeth: ['140', 'count'],
      backlashDeg: ['20', 'deg'],
      reversal: ['allowed'],
      tdcWithinDeg: ['0.4', 'deg'],
      pumpCode: ['ROT 4 L 7'],
      pumpDirection: ['cw'],
      pumpRatio: ['0.5'],
      pumpBtdc: ['13 before', 'deg'],
      pumpMinBtdc: ['12 before', 'deg'],
      pumpMaxBtdc: ['14 before', 'deg'],
      firstTorqueNm: ['20', 'Nm'],
      finalTorqueNm: ['58', 'Nm'],
      proofWithinDeg: ['1.2', 'deg'],
      idleMinRpm: ['620', 'rpm'],
      idleMaxRpm: ['680', 'rpm']
    }
  },
  {
    name: 'Stone saw',
    summary: 'single petrol, impulse magneto',
    source: 'works card 9',
    sheet: {
      cycle: ['four-stroke'],
      firedBy: ['magneto'],
      cylinders: ['1', 'count'],
      firingOrder: ['1'],
      runningDirection: ['ccw'],
      strokeMm: ['88', 'mm'],
      rodMm: ['156', 'mm'],
      backlashDeg: ['8', 'deg'],
      damperDiameterMm: ['190', 'mm'],
      reversal: ['forbidden'],
      tdcWithinDeg: ['0.6', 'deg'],
      magnetoDirection: ['cw'],
      magnetoRatio: ['0.5'],
      lagDeg: ['14', 'deg'],
      magnetoRefBtdc: ['5 after', 'deg'],
      snapMinBtdc: ['7 after', 'deg'],
      snapMaxBtdc: ['3 after', 'deg'],
      runBtdc: ['23 before', 'deg'],
      runMinBtdc: ['21 before', 'deg'],
      runMaxBtdc: ['25 before', 'deg'],
      rideOutRpm: ['260', 'rpm'],
      couplingBearing: ['78', 'deg'],
      magnetoGearTeeth: ['29', 'count'],
      magnetoTorqueNm: ['14', 'Nm']
    }
  },
  {
    name: 'Fire pump',
    summary: 'three-cylinder two-stroke, timed by piston height',
    source: 'works card 17',
    sheet: {
      cycle: ['two-stroke'],
      firedBy: ['flywheel'],
      cylinders: ['3', 'count'],
      firingOrder: ['1-2-3'],
      runningDirection: ['cw'],
      strokeMm: ['64', 'mm'],
      rodMm: ['118', 'mm'],
      backlashDeg: ['5', 'deg'],
      damperDiameterMm: ['240', 'mm'],
      reversal: ['allowed'],
      staticBtdc: ['18 before', 'deg'],
      tdcWithinDeg: ['0.6', 'deg'],
      fullAdvanceBtdc: ['21 before', 'deg'],
      fullAdvanceMinBtdc: ['20 before', 'deg'],
      fullAdvanceMaxBtdc: ['22 before', 'deg'],
      flywheelDiameterMm: ['262', 'mm'],
      markWithinDeg: ['1.2', 'deg'],
      idleTimingMinBtdc: ['2 before', 'deg'],
      idleTimingMaxBtdc: ['6 before', 'deg'],
      idleMinRpm: ['780', 'rpm'],
      idleMaxRpm: ['860', 'rpm']
    }
  }
];
