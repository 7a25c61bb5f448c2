import { define } from '../registry/define.ts';
import { driveEngage } from './drive-engage.ts';
import { driveIndex } from './drive-index.ts';
import { capMap } from './cap-map.ts';
import { driveOrient } from './drive-orient.ts';
import { driveStab } from './drive-stab.ts';
import { rotorPhasing } from './rotor-phasing.ts';
import * as s from './schemas.ts';

export const phasingCalcs = [
  define('drive.index', 'Which tooth, and which terminal for number one', s.driveIndexInput, driveIndex),
  define('drive.stab', 'Where to point the rotor before letting it down', s.driveStabInput, driveStab),
  define('drive.engage', 'Until the oil-pump drive falls in', s.driveEngageInput, driveEngage),
  define('rotor.phasing', 'Rotor against terminal when the spark comes', s.rotorPhasingInput, rotorPhasing),
  define('drive.orient', 'Which tooth, by the slot of a drive shaft', s.driveOrientInput, driveOrient),
  define('cap.map', 'What is wrong with the leads of a cap', s.capMapInput, capMap)
];
