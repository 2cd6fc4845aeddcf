import { SOMETHING_ELSE, type Check, type Symptom, partAt } from '@nazar/core/catalogue';
import { somethingElse } from '@nazar/core/grading';
import { circumstancesOf, neededOf, type FaultedPayload } from '@nazar/core/inspection';
import type { CheckInstance } from '@nazar/core/rig';
import { Body, Button, Columns, Field, Heading, Screen, Soft } from '@/design';
import { PhotoStrip } from '@/drawing';
import { useWords } from '@/i18n';
import { type Comparison } from '@/state';
import { previewFault, type Walk, useWalkSession } from '@/state/walk';
import { useFaultDraft, type FaultDraft } from './draft';
import { FixButtons } from './fix-buttons';
import { GradePanel } from './grade-panel';
import { SomethingElse } from './something-else';
import { WherePicker } from './where-picker';

function toldInWords({ symptoms }: Check, { note, other }: FaultDraft): Symptom {
  return somethingElse(symptoms, note, other ?? {});
}

function pageOf(draft: FaultDraft, symptom: Symptom | undefined): FaultDraft['page'] {
  if (!symptom) return 'what';
  // Words come first: without them there is nothing to keep.
  if (symptom.id === SOMETHING_ELSE && draft.page !== 'what' && draft.note.trim().length < 3)
    return 'other';
  return draft.page === 'how-much' && !symptom.scale ? 'where' : draft.page;
}

interface FaultFormProps {
  readonly walk: Walk;
  readonly instance: CheckInstance;
  readonly personId: string;
  /** An answer of the walk, or a fault that showed on the road. */
  readonly type: 'faulted' | 'found';
  readonly confirms: boolean;
  readonly fresh: () => FaultDraft;
  readonly onDone: () => void;
  readonly onCompare: (what: Comparison) => void;
}

/** What is it, how much, where exactly; then what follows from it. */
export function FaultForm(props: FaultFormProps) {
  const { log, clock } = useWalkSession();
  const { walk, instance, personId, onDone } = props;
  const t = useWords();
  const { check, key, unit, place } = instance;
  const inspectionId = walk.inspection.id;
  const { draft, change, drop } = useFaultDraft(inspectionId, key, props.fresh);
  if (!draft) return null;
  const isElse = draft.symptomId === SOMETHING_ELSE;
  const symptom = isElse
    ? toldInWords(check, draft)
    : check.symptoms.find(({ id }) => id === draft.symptomId);
  const page = pageOf(draft, symptom);

  const keep = async (payload: FaultedPayload) => {
    const kept = await log.append([{ inspectionId, actorId: personId, type: props.type, payload }]);
    if (!kept) return;
    await drop();
    onDone();
  };

  const title = partAt(check, place);
  const leave = <Button look="quiet" title={t('fault.leave')} onPress={onDone} />;

  if (page === 'what' || !symptom)
    return (
      <Screen title={t('fault.title')} actions={leave}>
        <Soft>{title}</Soft>
        <Heading level={2}>{t('fault.what')}</Heading>
        {props.confirms ? <Body>{t('fault.confirms')}</Body> : null}
        {check.symptoms.map((each) => (
          <Button
            key={each.id}
            title={each.words}
            start
            selected={each.id === draft.symptomId}
            onPress={() =>
              change({
                symptomId: each.id,
                stepId: undefined,
                fixed: undefined,
                page: each.scale ? 'how-much' : 'where',
              })
            }
          />
        ))}
        <Button
          testID="something-else"
          title={t('fault.else')}
          start
          selected={isElse}
          onPress={() =>
            change({
              symptomId: SOMETHING_ELSE,
              stepId: undefined,
              fixed: undefined,
              page: 'other',
            })
          }
        />
      </Screen>
    );

  if (page === 'other')
    return <SomethingElse title={title} draft={draft} change={change} leave={leave} />;

  if (page === 'how-much' && symptom.scale)
    return (
      <Screen title={t('fault.title')} actions={leave}>
        <Soft>
          {title}: {symptom.words}
        </Soft>
        <Heading level={2}>{symptom.scale.question}</Heading>
        {symptom.scale.steps.map((step) => (
          <Button
            key={step.id}
            title={step.words}
            start
            selected={step.id === draft.stepId}
            onPress={() => change({ stepId: step.id, page: 'where' })}
          />
        ))}
        <Button look="quiet" title={t('fault.former')} onPress={() => change({ page: 'what' })} />
      </Screen>
    );

  const payload: FaultedPayload = {
    key,
    defectId: draft.defectId,
    symptomId: symptom.id,
    ...(draft.stepId && { stepId: draft.stepId }),
    ...(draft.spot && { spot: draft.spot }),
    ...(draft.note.trim() && { note: draft.note.trim() }),
    photos: draft.photos,
    ...(draft.fixed && { fixed: draft.fixed }),
    ...(draft.raisedTo && { raisedTo: draft.raisedTo }),
    ...(isElse && { other: draft.other ?? {} }),
  };
  const seen = previewFault(walk, payload, clock.now());
  const graded = seen.findings.find(({ about }) => about === key) ?? seen.byKey.get(key)?.graded;
  if (!graded) return null;
  return (
    <Screen
      title={t('fault.title')}
      actions={leave}
      width="columns"
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          title={t('fault.keep')}
          onPress={() => void keep(payload)}
        />
      }
    >
      <Soft>
        {title}: {symptom.words}
      </Soft>
      <Columns
        left={
          <>
            <Heading level={2}>{t('fault.where')}</Heading>
            <WherePicker
              rig={walk.rig}
              unitId={unit.id}
              spot={draft.spot}
              onChange={(spot) => change({ spot })}
            />
            <PhotoStrip
              inspectionId={inspectionId}
              personId={personId}
              photos={draft.photos}
              onChange={(photos) => change({ photos })}
            />
          </>
        }
        right={
          <>
            <Field
              label={t('fault.note')}
              hint={t('fault.noteHint')}
              value={draft.note}
              onChange={(note) => change({ note })}
              multiline
              maxLength={1000}
            />
            {symptom.fixes ? (
              <FixButtons
                fixes={symptom.fixes}
                fixed={draft.fixed}
                onChange={(fixed) => change({ fixed })}
              />
            ) : null}
            <GradePanel
              graded={graded}
              policies={walk.policiesOf(unit.id)}
              system={symptom.system}
              onCompare={
                isElse
                  ? undefined
                  : () =>
                      props.onCompare({
                        checkId: check.id,
                        symptomId: symptom.id,
                        stepId: draft.stepId,
                        circumstances: [...circumstancesOf(walk.inspection, walk.rig)],
                        needed: [...neededOf(walk.inspection)],
                      })
              }
              raisedTo={draft.raisedTo}
              onRaise={(raisedTo) => change({ raisedTo })}
            />
          </>
        }
      />
      <Button
        look="quiet"
        title={t('fault.former')}
        onPress={() => change({ page: isElse ? 'other' : symptom.scale ? 'how-much' : 'what' })}
      />
    </Screen>
  );
}
