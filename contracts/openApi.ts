import { z } from 'zod';
import { ProblemSchema } from './problem';
import type { Route } from './route';
import { ROUTES } from './routes';

const schemaOf = (schema: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, {
    io,
    unrepresentable: 'any',
    reused: 'inline',
  });
  return rest;
};

const json = (schema: z.ZodType, io: 'input' | 'output') => ({
  'application/json': { schema: schemaOf(schema, io) },
});

function operation(name: string, route: Route) {
  const params = [...route.path.matchAll(/:([a-z]+)/g)].map(([, key]) => ({
    name: key,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const guard = { name: 'If-Match', in: 'header', required: true, schema: { type: 'string' } };
  const content = route.stream
    ? { [route.stream]: { schema: { type: 'string' } } }
    : route.response && json(route.response, 'output');
  const sent = route.sends
    ? { [route.sends]: { schema: { type: 'string', format: 'binary' } } }
    : route.body && json(route.body, 'input');
  return {
    operationId: name,
    summary: route.summary,
    description: `Who may call it: ${route.access}.`,
    parameters: route.guarded ? [...params, guard] : params,
    ...(sent ? { requestBody: { required: true, content: sent } } : {}),
    security: route.access === 'anyone' ? [] : [{ session: [] }],
    responses: {
      [route.status]: { description: 'Done.', ...(content ? { content } : {}) },
      default: {
        description: 'A problem document (RFC 9457).',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
  };
}

/** The OpenAPI 3.1 description of the whole API, made from the route table and its schemas. */
export function openApi(version: string): Record<string, unknown> {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [name, route] of Object.entries<Route>(ROUTES)) {
    const path = route.path.replace(/:([a-z]+)/g, '{$1}');
    paths[path] = { ...paths[path], [route.method]: operation(name, route) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Elderleaf', version },
    paths,
    components: {
      schemas: { Problem: schemaOf(ProblemSchema, 'output') },
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'elderleaf_session' } },
    },
  };
}
