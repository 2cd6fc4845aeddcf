import { Body } from '@/design';
import { useWords } from '@/i18n';
import { useContentMissing } from '@/state';

/** What stands on a screen until it can be drawn; where it waits for the network, it says so. */
export function Opening() {
  const t = useWords();
  const missing = useContentMissing();
  return <Body live={missing}>{t(missing ? 'contentMissing' : 'loading')}</Body>;
}
