import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { coreVersion } from './scripts/lib/core-version.mjs';

/** Rooms whose files are always needed together travel as one: fewer, larger scripts come sooner than many small ones. */
const together: [name: string, test: RegExp][] = [
  // how every drawing looks is one small sheet: no list of sheets has to travel with each part that is fetched later
  ['look', /\/src\/lib\/ui\/(surfaces|instruments|curves|charts|photos|engine|job-view|job)\/.*type=style/],
  [
    'core',
    /\/src\/core\/(job|units|numerics|errors|engine|tray)\/(?!(solve|pchip|rounding|fields|photos|torque|narrow|judged-doubt|overruled-text)\.ts)/
  ],
  [
    'crank',
    // what is only written down comes with the run sheet: a screen never fetches a manifest
    /\/src\/core\/(domains\/(engine|crank|distributor)\/(?!(manifest|schools|hazards|fields|flags|rules|slots|figures|parts|tdc-doubt|plan-words|dwell-text)\.ts)|calculations\/(tdc|piston|cycle|crank|mark|gauge|reading|verdict)\/(?!(tdc-fit|method-reach)\.ts))/
  ],
  [
    'frame',
    /\/src\/lib\/(reader\/(?!(given|curve-\w+)\.)|ui\/((keys|unsent|live)\/(?!as-file\.)|primitives\/(?!(KeyList|Pages|PrintedScale|Graduation|WhoPanel|Panel|Field|save)\.)))/
  ],
  [
    'view',
    /\/src\/lib\/ui\/(surfaces\/DoubtFold\.|job\/|job-view\/(?!(Schools|StepChoices|SetAside|Held)\.)|instruments\/(two-lap-dial\/|MovingPart))/
  ]
];

/** A part that is fetched later is fetched by name; what it needs besides, it asks for itself: only its look comes along. */
const onlyStyles = (_file: string, needed: string[], { hostType }: { hostType: 'html' | 'js' }) =>
  hostType === 'js' ? needed.filter((n) => n.endsWith('.css')) : needed;

export default defineConfig({
  plugins: [sveltekit()],
  define: { __CORE_VERSION__: JSON.stringify(coreVersion()) },
  worker: { format: 'es' },
  build: { target: 'es2022', modulePreload: { resolveDependencies: onlyStyles } },
  environments: {
    client: {
      build: {
        rolldownOptions: {
          output: {
            codeSplitting: {
              groups: together.map(([name, test]) => ({ name, test }))
            }
          }
        }
      }
    }
  }
});
