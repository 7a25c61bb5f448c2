import { z } from 'zod';
import { define } from '../define.ts';
import { finite as n } from '../building-blocks.ts';
import { torqueConvert } from './torque-convert.ts';
import { torqueExtension } from './torque-extension.ts';
import * as s from './schemas.ts';

export const torqueCalcs = [
  define({
    name: 'torque.convert',
    title: 'Torque in another unit',
    formula: 'value · size of from / size of to, sizes in N·m',
    source: 'SI: 1 lbf·ft = 1.3558179483314004 N·m, 1 lbf·in a twelfth of it, exact',
    errors: [],
    input: s.torqueConvertInput,
    output: z.strictObject({ value: n }),
    example: { in: { value: 33.3, from: 'Nm', to: 'Nm' }, out: { value: 33.3 } },
    calculate: torqueConvert
  }),
  define({
    name: 'torque.extension',
    title: 'Wrench setting with an in-line extension',
    formula: 'setting = torque · L/(L + E), L from drive square to grip, E the extension in the same line',
    source: 'Lever rule',
    errors: [],
    input: s.torqueExtensionInput,
    output: z.strictObject({ settingNm: n }),
    example: { in: { torqueNm: 22, wrenchMm: 275, extensionMm: 0 }, out: { settingNm: 22 } },
    calculate: torqueExtension
  })
];
