import { isStorable } from '@nazar/core/fields';
import express, { type RequestHandler } from 'express';
import { Problem } from './problems';

const parse = express.json({ limit: '4mb' });

/** Pictures come as bytes; their own route reads them. */
const AS_BYTES = /^\/photos\//;

/** Reads what is sent as JSON; a request without a body has an empty one, and what is sent as anything else is told so. */
export const jsonBody: RequestHandler = (request, response, next) => {
  if (AS_BYTES.test(request.path)) {
    next();
    return;
  }
  parse(request, response, (error?: unknown) => {
    if (error) {
      next(error);
      return;
    }
    const isSent = Number(request.headers['content-length'] ?? 0) > 0;
    if (request.body === undefined && isSent)
      next(new Problem(415, 'not-json', 'Send this as JSON (Content-Type: application/json).'));
    else {
      request.body ??= {};
      // Of a batch of entries each is looked at for itself.
      next(request.path === '/events' ? undefined : findUnstorable(request.body));
    }
  });
};

/** Nobody writes deeper by hand. */
const MOST_DEPTH = 40;

/** NUL and half a pair cannot be kept as text: once in a rule, they would break whatever reads it. */
function findUnstorable(body: unknown): Problem | undefined {
  const open: { readonly value: unknown; readonly depth: number }[] = [{ value: body, depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, depth } = next;
    if (typeof value === 'string' && !isStorable(value))
      return new Problem(
        422,
        'not-storable',
        'What was sent has characters that cannot be stored. Type it anew instead of pasting it.',
      );
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= MOST_DEPTH)
      return new Problem(422, 'too-deep', 'What was sent is nested too deeply to be read.');
    for (const [name, each] of Object.entries(value))
      open.push({ value: name, depth: depth + 1 }, { value: each, depth: depth + 1 });
  }
  return undefined;
}
