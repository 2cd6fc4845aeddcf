import {
  CATALOGUE_VERSION,
  type Capability,
  type Circumstance,
  type Phase,
} from '@nazar/core/catalogue';
import { AS_SHIPPED, withDepotContent } from '@nazar/core/depot-content';
import { chosenPolicyId } from '@nazar/core/grading';
import { orderWalk } from '@nazar/core/planning';
import { formatSi, unitFor } from '@nazar/core/quantity';
import { composeRig } from '@nazar/core/rig';
import { say } from '@nazar/core/words';
import { useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import { Body, Button, Card, Field, Heading, Screen, Soft } from '@/design';
import { Opening } from '@/drawing';
import { dayHere, useWords } from '@/i18n';
import { PlanSheet, usePlanning } from './plan';
import { CardNotes } from './card-notes';
import { ConditionsFields } from './conditions';
import { useConditions } from './use-conditions';
import { useHabit, useModulesOf, useReference, useSession } from '@/state';
import { keepPlan, useWalkSession } from '@/state/walk';
import { JobChoice } from './job-choice';

interface BeginScreenProps {
  /** A usual rig; or the units of one that was built for today. */
  readonly rigId?: string;
  readonly unitIds?: readonly string[];
  readonly phase: Phase;
  readonly onBegun: (inspectionId: string) => void;
  readonly onBack: () => void;
}

const TOOLS = new Set([
  'lamp',
  'tread-gauge',
  'pressure-gauge',
  'thumper',
  'rag',
  'gloves',
  'glasses',
  'hearing-protection',
  'hard-hat',
  'rule',
  'grease-gun',
  'water-hose',
  'chocked',
]);

const NOTHING: readonly Capability[] = [];

/** Conditions of the moment and what to carry, before the first step. */
export function BeginScreen(props: BeginScreenProps) {
  const { log } = useWalkSession();
  const { rigId, unitIds, phase, onBegun, onBack } = props;
  const t = useWords();
  const person = useSession((state) => state.person);
  const reference = useReference((state) => state.reference);
  const habit = useHabit();
  const conditions = useConditions();
  const { circumstances, celsius, possible } = conditions;
  const [open, setOpen] = useState(false);
  const [place, setPlace] = useState(reference?.depot.name ?? '');
  const rig = useMemo(
    () =>
      unitIds
        ? {
            unitIds,
            title: unitIds
              .map((id) => reference?.units.find((unit) => unit.id === id)?.number ?? '')
              .join(' + '),
          }
        : reference?.rigs.find(({ id }) => id === rigId),
    [reference, rigId, unitIds],
  );
  const jobs = (reference?.jobs ?? []).filter((job) =>
    job.unitIds.some((id) => rig?.unitIds.includes(id)),
  );
  const [jobId, setJobId] = useState<string | undefined>(jobs[0]?.id);
  const job = jobs.find(({ id }) => id === jobId);
  const [alone, setAlone] = useState<readonly Capability[]>();
  // What today's job needs is tried today, whatever its turn.
  const wanted = job?.needs ?? alone ?? NOTHING;
  const units = useMemo(
    () =>
      rig?.unitIds.flatMap((id) => reference?.units.filter((each) => each.id === id) ?? []) ?? [],
    [rig, reference],
  );
  const modules = useModulesOf(units);
  const plan = useMemo(() => {
    if (!rig || !reference || !modules) return undefined;
    const catalogue = withDepotContent(modules, reference.content ?? AS_SHIPPED);
    const composed = composeRig({
      units,
      phase,
      circumstances,
      needed: wanted,
      catalogue,
    });
    const without = (circumstance: Circumstance) =>
      composeRig({
        units,
        phase,
        circumstances: circumstances.filter((each) => each !== circumstance),
        needed: wanted,
        catalogue,
      }).instances.length;
    const { choice } = reference.depot;
    return {
      rig: composed,
      units,
      added: circumstances
        .map((circumstance) => ({
          circumstance,
          count: composed.instances.length - without(circumstance),
        }))
        .filter(({ count }) => count > 0),
      capabilities: composed.capabilities.filter((each) => each !== 'road'),
      policies: Object.fromEntries(
        composed.units.map(({ unit: each, module }) => [
          each.id,
          chosenPolicyId(choice, module.vehicleClass),
        ]),
      ),
      checks: composed.instances.length,
      stops: orderWalk(composed).length,
      minutes: Math.round(
        composed.instances.reduce((sum, { check }) => sum + check.seconds, 0) / 60,
      ),
      carry: [...new Set(composed.instances.flatMap(({ check }) => check.needs))].filter((need) =>
        TOOLS.has(need),
      ),
    };
  }, [rig, reference, units, modules, phase, circumstances, wanted]);
  const planning = usePlanning(plan?.units, modules, phase, circumstances, wanted);
  if (!person || !reference || !rig) return null;
  if (!plan)
    return (
      <Screen
        title={`${t(`phase.${phase}`)} · ${rig.title}`}
        actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
      >
        <Opening />
      </Screen>
    );

  const houseVersion = reference.content?.version ?? 0;
  // A rig with a trailer is usually out to tow it; a job that was planned knows better.
  const needs = job?.needs ?? alone ?? plan.capabilities.filter((each) => each === 'tow');

  const tags = (reference.tags ?? [])
    .filter(({ unitId, required }) => required && rig.unitIds.includes(unitId))
    .map(({ unitId, zoneId }) => `${unitId}/${zoneId}`);
  const begin = async () => {
    const inspectionId = newId();
    const own = { inspectionId, actorId: person.id };
    if (planning.plan)
      await keepPlan(inspectionId, { ...planning.plan, routeStyle: planning.routeStyle });
    const kept = await log.append<'begun' | 'changed'>([
      {
        ...own,
        type: 'begun',
        payload: {
          unitIds: rig.unitIds,
          phase,
          catalogueVersion: CATALOGUE_VERSION,
          ...(houseVersion > 0 && { houseVersion }),
          policyId: plan.policies[rig.unitIds[0]],
          policies: plan.policies,
          job: { needs, ...(job && { title: job.title }) },
          circumstances,
          ...(tags.length > 0 && { tags }),
          ...(celsius !== undefined && { temperatureC: celsius }),
          ...(place.trim() && { place: place.trim() }),
        },
      },
      ...(planning.running
        ? [{ ...own, type: 'changed' as const, payload: { change: 'start' as const } }]
        : []),
    ]);
    if (kept) onBegun(inspectionId);
  };

  const asked =
    conditions.open.length > 0
      ? t('begin.asked', { what: conditions.open.map((each) => t(`begin.ask.${each}`)).join(', ') })
      : undefined;
  return (
    <Screen
      title={`${t(`phase.${phase}`)} · ${rig.title}`}
      actions={<Button look="quiet" title={t('back')} onPress={onBack} />}
      foot={
        <>
          {asked ? <Body live>{asked}</Body> : null}
          <Button
            look="main"
            className="min-h-[64px]"
            title={t('begin.go')}
            disabled={asked !== undefined || !possible || planning.busy}
            onPress={() => void begin()}
          />
        </>
      }
    >
      <CardNotes rig={plan.rig} habit={habit} today={dayHere()} />
      <ConditionsFields
        conditions={conditions}
        carries={plan.capabilities.includes('passengers')}
        onStation={({ station }) => setPlace(station)}
      />
      <Card>
        {planning.plan ? (
          <Heading level={2}>
            {t('plan.sum', {
              minutes: Math.round(planning.plan.totals.seconds / 60),
              metres: formatSi(planning.plan.totals.metres, unitFor('length', habit), 0),
            })}
          </Heading>
        ) : null}
        {planning.planned && !planning.planned.ok ? (
          <Body role="alert" className="font-thick">
            {say(planning.planned.says, habit)} {t('plan.none')}
          </Body>
        ) : null}
        {planning.busy ? <Body live>{t('plan.busy')}</Body> : null}
        <Body>
          {t('begin.checks', { count: plan.checks, stops: plan.stops, minutes: plan.minutes })}
        </Body>
        {plan.added.map(({ circumstance, count }) => (
          <Soft key={circumstance}>
            {t('station.added', { circumstance: t(`circumstance.${circumstance}`), count })}
          </Soft>
        ))}
        <Button title={t('plan.open')} disabled={!possible} onPress={() => setOpen(true)} />
      </Card>
      <Card>
        <Heading level={2}>{t('begin.carry')}</Heading>
        <Body>
          {plan.carry
            .map((need) => t(need === 'chocked' ? 'begin.chocks' : `need.${need}`))
            .join(', ')}
        </Body>
      </Card>
      {jobs.length > 0 || plan.capabilities.length > 0 ? (
        <JobChoice
          jobs={jobs}
          chosen={job?.id}
          onJob={(id) => {
            setJobId(id);
            setAlone(undefined);
          }}
          capabilities={plan.capabilities}
          needs={needs}
          onNeeds={(list) => {
            setJobId(undefined);
            setAlone(list);
          }}
        />
      ) : null}
      <Field
        label={`${t('begin.temperature')} (${conditions.unit})`}
        value={conditions.typed}
        onChange={conditions.setTyped}
        inputMode="text"
        maxLength={5}
        trouble={possible ? undefined : t('begin.temperatureTrouble')}
        hint={conditions.freezing ? t('begin.freezing') : undefined}
      />
      <Field label={t('begin.place')} value={place} onChange={setPlace} maxLength={120} />
      <Soft>{t('guide')}</Soft>
      {open ? (
        <PlanSheet
          rig={plan.rig}
          circumstances={circumstances}
          planning={planning}
          added={plan.added}
          asked={asked}
          onWalk={() => void begin()}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </Screen>
  );
}
