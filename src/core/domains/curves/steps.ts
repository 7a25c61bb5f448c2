import type { Step } from '../../job/run-sheet.ts';
import { vacuumFitted } from '../timing/steps.ts';
import { slots } from './slots.ts';
import type { Use } from '../../job/vocabulary.ts';
import { step } from './vocabulary.ts';

export const sweepRun = (u: Use): Step =>
  step(
    {
      title: 'Curve swept, up and down',
      say: 'Raise the speed in steps and hold each, read, then come down again; stay clear of the plane of the fan.',
      why: 'It shows where the advance begins, how fast it comes, what it ends at, and whether the weights stick.',
      accept: 'Inside its limits at every speed, down equal to up.',
      ifSkipped: 'A wrong stop or a sticking weight goes unseen.',
      tools: ['strobe', 'tachometer'],
      minutes: 12,
      helper: 'yes',
      hazards: ['rotating', 'exhaust', 'noise', 'hot-surface', 'hot-coolant'],
      sets: ['curve-verified'],
      needs: ['engine-running', 'strobe-connected', 'vacuum-plugged'],
      slots: [slots['sweep-rpm'], slots['sweep-deg']],
      values: ['advanceBand'],
      schools: ['mark-scale'],
      ways: {
        'mark-scale': {
          tape: { tools: ['strobe', 'tachometer', 'tape for this rim'] },
          dots: {
            say: 'Read on the dots, painted at the measured marks while the engine stood; never paint one while it runs. Raise the speed in steps and hold each, read, then come down again; stay clear of the plane of the fan.',
            tools: ['strobe', 'tachometer', 'measured marks', 'paint'],
            minutes: 18
          },
          delay: {
            say: 'Raise the speed in steps and hold each, turn the strobe\u2019s delay until the zero mark stands at the pointer, read the delay, then come down again; stay clear of the plane of the fan.',
            tools: ['strobe with a delay', 'tachometer']
          }
        }
      },
      surface: 'sweep',
      acts: ['runs-on', 'sweeps']
    },
    u
  );

export const steadiness = (u: Use): Step =>
  step(
    {
      title: 'Scatter at steady speeds',
      say: 'Hold a speed, watch how far the mark wanders, type the speed and the width of the band.',
      why: 'An average looks right while single sparks do not; float and backlash explain some of it, a bush the rest.',
      accept: 'Below its limit, or explained by the drive\u2019s float.',
      ifSkipped: 'A worn bush is tuned around.',
      tools: ['strobe'],
      minutes: 4,
      hazards: ['rotating'],
      needs: ['engine-running', 'strobe-connected'],
      slots: [slots['spread-rpm'], slots.spread],
      surface: 'scatter'
    },
    u
  );

export const vacuumChecked = (u: Use): Step =>
  step(
    {
      title: 'Vacuum advance and its diaphragm',
      say: 'Hold the speed, raise the depression in steps with the hand pump, read the timing; then let it stand and see if it holds. The hose stays plugged.',
      why: 'It proves unit, source and direction; a leaking diaphragm is a weak mixture as well.',
      accept: 'Adds as the data sheet has it, in the advance sense, and holds.',
      ifSkipped: 'A plate stuck, or moving the wrong way.',
      tools: ['hand vacuum pump', 'strobe'],
      minutes: 8,
      helper: 'yes',
      hazards: ['rotating'],
      sets: ['vacuum-set', 'capsule-ok'],
      slots: [slots['vac-kpa'], slots['vac-deg'], slots['hold-start'], slots['hold-end'], slots['hold-seconds']],
      onlyIf: vacuumFitted,
      schools: ['vacuum'],
      ways: {
        vacuum: {
          ported: {
            accept:
              'Adds as the data sheet has it, in the advance sense, and holds; about no depression at its port while the engine idles.'
          },
          manifold: {
            accept:
              'Adds as the data sheet has it, in the advance sense, and holds; with its hose on, the idle is set anew.',
            minutes: 12
          }
        }
      },
      surface: 'vacuum'
    },
    u
  );

export const weightsFree = (u: Use): Step =>
  step(
    {
      title: 'Weights move and return',
      say: 'Hold the drive, turn the rotor in its advance direction and let go; see both weights, both springs, full travel.',
      why: 'A seized mechanism hides as a lazy engine, and a curve on sticking weights is fiction.',
      handles: { 'distributor.weights': 'both, full travel', 'distributor.rotor': 'turned, let go' },
      accept: 'Free, snaps back, reaches its stop.',
      ifSkipped: 'Springs are chosen against friction.',
      tools: ['light oil'],
      minutes: 5,
      sets: ['advance-free'],
      slots: [slots['travel-free']],
      schools: ['adv-free'],
      ways: {
        'adv-free': {
          'in-place': {
            say: 'In its place: cleaner and light oil on the weights, let the vapour go before any spark; turn the rotor in its advance direction and let go, three times.',
            accept: 'Snaps back three times and reaches its stop; asked again hot, after the first run.',
            tools: ['cleaner', 'light oil'],
            minutes: 10,
            hazards: ['solvent']
          }
        }
      }
    },
    u
  );

export const lobesRead = (u: Use): Step =>
  step(
    {
      title: 'Spacing of the sparks read',
      say: 'Turn the distributor slowly in its running direction and read where each cylinder fires, in firing order.',
      why: 'Run-out of the shaft and error of a lobe look alike in one reading and apart in all of them.',
      accept: 'Every spark in its place within the tolerance.',
      ifSkipped: 'Cylinders fire early and late and no setting cures it.',
      tools: ['distributor bench', 'wheel'],
      minutes: 8,
      slots: [slots.lobe],
      values: ['firingOrder', 'lobeToleranceDeg'],
      surface: 'lobes'
    },
    u
  );

export const benchSweep = (u: Use): Step =>
  sweepRun({
    title: 'Curve swept on the bench',
    say: 'Run the distributor up in steps and down again; read speed and advance in its own degrees.',
    tools: ['distributor bench'],
    helper: 'no',
    hazards: ['rotating'],
    needs: [],
    acts: [],
    slots: [
      { ...slots['sweep-rpm'], label: 'speed of the distributor' },
      { ...slots['sweep-deg'], label: 'advance, distributor degrees', gauge: 'wheel' }
    ],
    ...u
  });
