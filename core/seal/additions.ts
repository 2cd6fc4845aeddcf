import type { ChainLink, ReportFile } from './seal';
import type { Change } from './change';

/**
 * The link of the next addition to a report: they are counted, and each names the one before it, so that none is taken out, doubled or
 * moved unseen. (What was taken off the end cannot be seen in the file alone.)
 */
export function nextAdditionLink({ report, seal, additions }: ReportFile): ChainLink {
  return {
    unit: report.id,
    sequence: additions.length + 1,
    previous: additions.at(-1)?.seal.hash ?? seal.hash,
  };
}

/**
 * What is wrong with the row of additions. Those of before they were counted all hang on the report itself; they come first, and what
 * is added after them is counted on.
 */
export function findAdditionFaults({ report, seal, additions }: ReportFile): Change[] {
  const changes: Change[] = [];
  const ids = new Set<string>();
  let uncounted = true;
  additions.forEach((each, index) => {
    const path = `additions[${index}]`;
    if (ids.has(each.addition.id)) changes.push({ path, words: 'stands in the file twice' });
    ids.add(each.addition.id);
    const [link, ...more] = each.seal.chain;
    const previous = index === 0 ? seal.hash : additions[index - 1].seal.hash;
    const isNext = link?.sequence === index + 1 && link.previous === previous;
    const hangsOnReport = link?.sequence === 1 && link.previous === seal.hash;
    if (link?.unit !== report.id || more.length > 0 || (!isNext && !(uncounted && hangsOnReport)))
      changes.push({
        path: `${path}.seal.chain`,
        words: 'does not follow on what stands before it: one was taken out, put in or moved',
      });
    if (!hangsOnReport) uncounted = false;
    for (const name of Object.keys(each))
      if (name !== 'addition' && name !== 'seal')
        changes.push({ path: `${path}.${name}`, words: 'does not belong to an addition' });
  });
  return changes;
}
