import { capDomain } from './cap.ts';
import { curvesDomain } from './curves.ts';
import { register } from './domain.ts';
import { gearsDomain } from './gears.ts';
import { ringsDomain } from './rings.ts';
import { stackDomain } from './stack.ts';
import { toothDomain } from './tooth.ts';

register(stackDomain, ringsDomain, gearsDomain, toothDomain, capDomain, curvesDomain);
