import { capDomain } from '../../domains/cap/domain.ts';
import { curvesDomain } from '../../domains/curves/domain.ts';
import { register } from '../domain.ts';
import { gearsDomain } from '../../domains/gears/domain.ts';
import { ringsDomain } from '../../domains/rings/domain.ts';
import { stackDomain } from '../../domains/stack/domain.ts';
import { toothDomain } from '../../domains/tooth/domain.ts';

register(stackDomain, ringsDomain, gearsDomain, toothDomain, capDomain, curvesDomain);
