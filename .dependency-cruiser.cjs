/**
 * The walls between rooms. Types count like code: a file that needs another's types stands above it.
 * From the ground up: numerics, units, errors → calculations → engine, tray → job → domains → sheets → the surface of the core.
 */
const never = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });
const room = (path) => ({ path });

module.exports = {
  forbidden: [
    never('no-circle', 'No file needs itself, not even by its types.', {}, { circular: true }),
    {
      ...never('no-folder-circle', 'No folder needs itself by way of another.', {}, { circular: true }),
      scope: 'folder'
    },
    never('core-alone', 'The core has no interface, no server, no Node.', room('^src/core'), {
      path: '^(src/(lib|routes)|node:|node_modules/(?!zod))'
    }),
    never(
      'calculations-below',
      'Calculations know nothing of engines, jobs and trades.',
      room('^src/core/calculations'),
      {
        path: '^src/core/(engine|tray|job|domains|sheets)'
      }
    ),
    never('engine-below-job', 'The data sheet and the tray know no job.', room('^src/core/(engine|tray)'), {
      path: '^src/core/(job|domains|sheets)'
    }),
    never('job-knows-no-trade', 'The job works with whatever domains it is given.', room('^src/core/job'), {
      path: '^src/core/(domains|sheets)'
    }),
    never(
      'trade-knows-no-list',
      'A trade names the domains it needs, never the list of them all.',
      room('^src/core/domains/[^/]+/'),
      {
        path: '^src/core/(domains/[^/]+\\.ts|sheets)'
      }
    ),
    never('reader-below', 'Words for readers stand below interface and server.', room('^src/lib/reader'), {
      path: '^src/(lib/(ui|server)|routes)'
    }),
    never('ui-and-server-apart', 'Interface and server meet only in routes.', room('^src/lib/ui'), {
      path: '^src/(lib/server|routes)'
    }),
    never('server-below-routes', 'The server knows no interface.', room('^src/lib/server'), {
      path: '^src/(lib/ui|routes)'
    }),
    never(
      'surfaces-on-top',
      'A surface may use job view and instruments; they know no surface but the loader of all.',
      room('^src/lib/ui/(instruments|primitives|charts|reader|keys)'),
      {
        path: '^src/lib/ui/(surfaces|job|curves|tray|engine)'
      }
    ),
    never(
      'sql-in-repositories',
      'SQL lives in the repositories.',
      {
        path: '^src/',
        pathNot: '^src/lib/server/(db|repositories|live)/'
      },
      { path: 'node_modules/pg/' }
    )
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    moduleSystems: ['es6'],
    enhancedResolveOptions: { extensions: ['.ts', '.js', '.svelte'], conditionNames: ['svelte', 'import', 'default'] }
  }
};
