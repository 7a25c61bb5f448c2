import { define } from '../registry/define.ts';
import { gaugeCombine } from './gauge.ts';
import { readingParse } from './reading-parse.ts';
import * as s from './schemas.ts';
import { torqueConvert, torqueExtension } from './torque.ts';

export const measureCalcs = [
  define('gauge.combine', 'Mean of repeated readings and its uncertainty', s.gaugeCombineInput, gaugeCombine),
  define('reading.parse', 'Reads a figure as it is said at the bench', s.readingParseInput, readingParse),
  define('torque.convert', 'Torque in another unit', s.torqueConvertInput, torqueConvert),
  define('torque.extension', 'Wrench setting with an in-line extension', s.torqueExtensionInput, torqueExtension)
];
