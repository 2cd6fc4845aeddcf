import type { Logbook } from '@nazar/core/wire';
import { findModuleOfUnit } from '@nazar/core/rig';
import { useMemo } from 'react';
import { Linking } from 'react-native';
import { Body, Button, Card, Columns, Heading, Screen, Soft } from '@/design';
import { RigDrawing, unitAlone } from '@/drawing';
import { useWords } from '@/i18n';
import { useCatalogueOf, useLogbook, useSession } from '@/state';
import { ReadingCourses } from './reading-courses';
import { Services } from './services';
import { TagsCard } from './tags-card';
import { toEntries } from './time-line-entries';
import { TimeLine } from './time-line';
import { titleOfPart, WeakSpots } from './weak-spots';

export interface LogbookScreenProps {
  readonly unitId: string;
  readonly onReport: (reportId: string) => void;
  readonly onBack: () => void;
}

/** Everything that is known of one unit: its time line, weak spots, services, readings, and whether its record holds. */
export function LogbookScreen({ unitId, onReport, onBack }: LogbookScreenProps) {
  const t = useWords();
  const person = useSession((state) => state.person);
  const { logbook, pages, trouble, reload, more, loadMore } = useLogbook(unitId);
  const unit = logbook?.unit;
  const catalogue = useCatalogueOf(unit ? [unit] : []);
  const rig = useMemo(() => unit && catalogue && unitAlone(unit, catalogue), [unit, catalogue]);
  const back = <Button look="quiet" title={t('back')} onPress={onBack} />;
  if (!logbook || !unit || !person)
    return (
      <Screen title={t('logbook.title')} actions={back}>
        <Body>
          {!trouble
            ? t('loading')
            : trouble === 'offline'
              ? t('logbook.offline')
              : trouble.sentence}
        </Body>
      </Screen>
    );
  const module = catalogue && findModuleOfUnit(unit, catalogue);
  const titleOf = (part: string) => titleOfPart(part, module);
  const pageTrouble = trouble === 'offline' ? t('trouble.offline') : trouble?.sentence;
  const weak = logbook.weakSpots.flatMap(
    (spot) => rig?.instances.find(({ key }) => key === `${unitId}/${spot.part}`) ?? [],
  );
  return (
    <Screen
      title={`${unit.number} · ${unit.title}`}
      below={`${t('logbook.title')} · ${unit.plate}`}
      width="columns"
      actions={back}
    >
      <Record logbook={logbook} />
      <Columns
        left={
          <>
            {logbook.weakSpots.length > 0 ? (
              <Card>
                <Heading level={2}>{t('weak.title')}</Heading>
                {rig ? <RigDrawing rig={rig} label={t('weak.drawing')} weak={weak} /> : null}
                <WeakSpots spots={logbook.weakSpots} titleOf={titleOf} />
              </Card>
            ) : null}
            <Services
              services={logbook.services}
              unitId={unitId}
              mayRecord={person.role !== 'driver'}
              onRecorded={reload}
              onCalendar={() => void Linking.openURL(`/api/units/${unitId}/services.ics`)}
            />
            <ReadingCourses courses={logbook.readings} titleOf={titleOf} />
            <TagsCard unitId={unitId} mayChange={person.role === 'supervisor'} />
          </>
        }
        right={
          <Card>
            <Heading level={2}>{t('logbook.timeLine')}</Heading>
            <TimeLine entries={toEntries(pages, logbook)} onReport={onReport} />
            {more ? (
              <Button title={t('workshop.more')} onPress={loadMore} />
            ) : (
              <Soft>{t('logbook.begin')}</Soft>
            )}
            {pageTrouble ? <Body role="alert">{pageTrouble}</Body> : null}
          </Card>
        }
      />
    </Screen>
  );
}

/** Whether the chain of reports holds, and what keeps it from being removed. */
function Record({ logbook }: { readonly logbook: Logbook }) {
  const t = useWords();
  const { chain, holds } = logbook;
  const broken = chain.faults.length > 0;
  return (
    <Card marked={broken}>
      <Body className="font-thick" role={broken ? 'alert' : undefined}>
        {broken
          ? t('chain.broken')
          : chain.length === 0
            ? t('chain.empty')
            : t('chain.whole', { count: chain.length })}
      </Body>
      {chain.faults.map((fault) => (
        <Body key={`${fault.code} ${fault.sequence}`}>
          {t(`chain.${fault.code}`, { number: fault.sequence })}
        </Body>
      ))}
      {chain.removed > 0 ? <Soft>{t('chain.removed', { count: chain.removed })}</Soft> : null}
      {holds.map(({ id, words, by }) => (
        <Soft key={id}>
          {t('rules.holds')}: {words} · {by}
        </Soft>
      ))}
    </Card>
  );
}
