import { define } from '../registry/define.ts';
import { gearCompare } from './gear-compare.ts';
import { driveGearReindex, driveWander, meshPattern } from './mesh.ts';
import * as s from './schemas.ts';
import { stackPick } from './stack-pick.ts';
import { stackEndFloat, stackEngagement, stackMove, stackThermal } from './stack.ts';

export const driveCalcs = [
  define('stack.endFloat', 'End float by gauging washer and blades', s.endFloatInput, stackEndFloat),
  define('stack.pick', 'Which packings or shims to take', s.pickInput, stackPick),
  define(
    'stack.engagement',
    'Engagement with the oil-pump drive, and clearance below',
    s.engagementInput,
    stackEngagement
  ),
  define('stack.thermal', 'Float when hot', s.thermalInput, stackThermal),
  define('stack.move', 'What setting the drive deeper changes', s.moveInput, stackMove),
  define('mesh.pattern', 'Contact patch on the tooth', s.patternInput, meshPattern),
  define('drive.wander', 'How far float and backlash let the timing wander', s.wanderInput, driveWander),
  define('gear.compare', 'New drive gear against old and cam', s.gearCompareInput, gearCompare),
  define('drive.gearReindex', 'What turning the gear on its shaft does', s.gearReindexInput, driveGearReindex)
];
