import { CATALOGUE_VERSION } from '@nazar/core/catalogue';
import { catalogue } from '@nazar/core/content';
import { serverReads } from '../src/state/server-reads';

/** Nothing of what was read before, and as if every module had been loaded before the screen opened. */
export function giveModules(): void {
  serverReads.clear();
  const ids = catalogue.modules.map(({ id }) => id);
  serverReads.setQueryData(['modules', CATALOGUE_VERSION], ids);
  for (const module of catalogue.modules)
    serverReads.setQueryData(['module', CATALOGUE_VERSION, module.id], module);
}
