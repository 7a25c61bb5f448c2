import { json } from '@sveltejs/kit';
import { inputSchema, outputSchema, registry } from '$core/index.ts';

/** Every calculation: formula, source, errors, an example, and the JSON Schemas of what goes in and what comes back. */
export const GET = () =>
  json({
    calcs: [...registry.values()].map(({ run: _, ...c }) => ({
      ...c,
      input: inputSchema(c),
      output: outputSchema(c)
    }))
  });
