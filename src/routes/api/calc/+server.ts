import { json } from '@sveltejs/kit';
import { inputSchema, registry } from '$core/index.ts';

/** Every calculation with the JSON Schema of its input. */
export const GET = () =>
  json({ calcs: [...registry.values()].map((c) => ({ name: c.name, title: c.title, input: inputSchema(c) })) });
