import { register } from 'tsx/esm/api';

// A thread starts with nothing of what its process was started with; it learns to read TypeScript first.
register();
await import('./work.ts');
