import { catalogue } from '@nazar/core/content';
import type { DepotContent } from '@nazar/core/depot-content';
import { findDepotContentFaults, readCatalogueFile } from '@nazar/core/validation';
import workerpool from 'workerpool';
import { renderReport, type RenderRequest } from '../report/pdf/render-report';

/** What takes so long that it is done beside the loop that answers; runs in a thread of the pool. */
const WORKS = {
  'report-pdf': async (request: RenderRequest): Promise<Uint8Array> =>
    renderReport({
      ...request,
      // A buffer comes over as plain bytes.
      photos: new Map([...request.photos].map(([id, bytes]) => [id, Buffer.from(bytes)])),
    }),
  'content-faults': async (content: DepotContent) =>
    Promise.resolve(findDepotContentFaults(content, catalogue)),
  'catalogue-file': async (file: unknown) => Promise.resolve(readCatalogueFile(file, catalogue)),
};

export type HeavyWork = typeof WORKS;

workerpool.worker(WORKS);
