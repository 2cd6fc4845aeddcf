import type { Request } from 'express';
import type { Person } from '../store/sessions';
import { personOf } from './authenticate';
import { Problem } from './problems';

/** The signed-in supervisor. Throws 403 for everybody else. */
export function supervisorOf(request: Request): Person {
  const person = personOf(request);
  if (person.role !== 'supervisor')
    throw new Problem(403, 'supervisors-only', 'Only a supervisor does this.');
  return person;
}
