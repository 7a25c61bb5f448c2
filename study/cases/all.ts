import type { Case } from '../trial.ts';
import { curves } from './curves.ts';
import { floats } from './float.ts';
import { readings } from './readings.ts';
import { settings } from './setting.ts';
import { tdc } from './tdc.ts';

export const cases: readonly Case[] = [...readings, ...tdc, ...floats, ...settings, ...curves];
