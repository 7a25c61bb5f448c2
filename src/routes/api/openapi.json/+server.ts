import { json } from '@sveltejs/kit';
import { inputSchema, outputSchema, registry } from '$core/index.ts';

const errorSchema = {
  type: 'object',
  required: ['ok', 'error'],
  properties: {
    ok: { type: 'boolean', enum: [false] },
    error: {
      type: 'object',
      required: ['code', 'message', 'path'],
      properties: { code: { type: 'string' }, message: { type: 'string' }, path: { type: 'string' } }
    }
  }
};

function document() {
  const paths: Record<string, object> = {};
  const refusal = {
    description: 'Refused, with the reason',
    content: { 'application/json': { schema: { $ref: '#/components/schemas/Refusal' } } }
  };
  for (const c of registry.values())
    paths[`/api/calc/${c.name}`] = {
      post: {
        operationId: c.name,
        summary: c.title,
        description: `${c.formula}\n\nSource: ${c.source}.`,
        requestBody: {
          required: true,
          content: { 'application/json': { schema: inputSchema(c, 'openapi-3.0'), example: c.example.in } }
        },
        responses: {
          '200': {
            description: 'The answer',
            content: {
              'application/json': {
                schema: {
                  type: 'object',
                  required: ['ok', 'out'],
                  properties: { ok: { type: 'boolean', enum: [true] }, out: outputSchema(c, 'openapi-3.0') }
                }
              }
            }
          },
          '413': refusal,
          '422': refusal
        }
      }
    };
  return {
    openapi: '3.0.3',
    info: {
      title: 'Nemrik calculations',
      version: '1',
      description: 'Pure calculations for timing work, in base units.'
    },
    paths,
    components: { schemas: { Refusal: errorSchema } }
  };
}

let made: object | null = null;
export const GET = () => json((made ??= document()));
