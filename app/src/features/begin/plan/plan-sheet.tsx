import type { Circumstance, Phase } from '@nazar/core/catalogue';
import { AS_SHIPPED } from '@nazar/core/house';
import { formatSi, unitFor } from '@nazar/core/quantity';
import { followPlan, type School } from '@nazar/core/planning';
import { composeRig, type Unit } from '@nazar/core/rig';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Body, Button, Heading, Sheet, Soft, Toggles } from '@/design';
import { RigDrawing, toBeads } from '@/drawing';
import { useWords } from '@/i18n';
import {
  catalogueOf,
  keepSchool,
  readSchool,
  useHabit,
  useReference,
  type KeptPlan,
} from '@/state';
import { toLanes } from './lanes';
import { PlanStops } from './plan-stops';
import { SchoolChoice } from './school-choice';
import { TimeLine } from './time-line';
import { usePlan } from './use-plan';

interface PlanSheetProps {
  readonly units: readonly Unit[];
  readonly phase: Phase;
  readonly circumstances: readonly Circumstance[];
  readonly onWalk: (plan: KeptPlan) => void;
  readonly onClose: () => void;
}

const WARM_UP = { usual: 300, frost: 900 };

/** The walk before it is walked: the way, the time, what runs meanwhile, and what another order would cost. */
export function PlanSheet({ units, phase, circumstances, onWalk, onClose }: PlanSheetProps) {
  const t = useWords();
  const habit = useHabit();
  const reference = useReference((state) => state.reference);
  const [school, setSchool] = useState<School>();
  const [running, setRunning] = useState(false);
  const [fixed, setFixed] = useState<readonly string[]>([]);
  useEffect(() => {
    void readSchool().then(setSchool);
  }, []);
  const content = reference?.content ?? AS_SHIPPED;
  const question = useMemo(
    () => school && { units, phase, circumstances, content, school, running, fixed },
    [units, phase, circumstances, content, school, running, fixed],
  );
  const free = useMemo(() => question && { ...question, fixed: [] }, [question]);
  const { planned, busy } = usePlan(question);
  const { planned: unbound } = usePlan(fixed.length > 0 ? free : undefined);
  const rig = useMemo(
    () => composeRig({ units, phase, circumstances, catalogue: catalogueOf(reference) }),
    [units, phase, circumstances, reference],
  );
  const plan = planned?.ok ? planned.plan : undefined;
  const beads = useMemo(
    () => plan && toBeads(followPlan(rig, plan.stops).stops, () => 'unanswered'),
    [plan, rig],
  );
  const change = (next: School) => {
    setSchool(next);
    setFixed([]);
    void keepSchool(next);
  };
  const move = (index: number, by: -1 | 1) => {
    if (!plan) return;
    const order = plan.stops.map(({ block }) => block);
    const [block] = order.splice(index, 1);
    order.splice(index + by, 0, block);
    setFixed(order);
  };
  const length = unitFor('length', habit);
  const metres = (value: number) => formatSi(value, length, 0);
  const minutes = (seconds: number) => Math.round(seconds / 60);
  const price =
    plan && fixed.length > 0 && unbound?.ok
      ? Math.round(plan.totals.seconds - unbound.plan.totals.seconds)
      : undefined;
  return (
    <Sheet
      title={t('plan.title')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          title={t('plan.walk')}
          disabled={!plan || busy}
          onPress={() => plan && onWalk(plan)}
        />
      }
    >
      {planned && !planned.ok ? (
        <Body role="alert" className="font-thick text-vermilion">
          {planned.sentence}
        </Body>
      ) : null}
      {busy ? <Body live>{t('plan.busy')}</Body> : null}
      {plan && beads ? (
        <>
          <RigDrawing
            rig={rig}
            label={t('plan.drawing', { count: beads.length })}
            stops={beads}
            way={plan.way}
          />
          <Heading level={2}>
            {t('plan.sum', {
              minutes: minutes(plan.totals.seconds),
              metres: metres(plan.totals.metres),
            })}
          </Heading>
          <Body>
            {t('plan.effort', {
              climbs: plan.totals.climbs,
              starts: plan.totals.starts,
              seconds: Math.round(plan.totals.waiting),
            })}
          </Body>
          <Soft>
            {t('plan.against', {
              minutes: minutes(plan.catalogueOrder.seconds),
              metres: metres(plan.catalogueOrder.metres),
              climbs: plan.catalogueOrder.climbs,
            })}
          </Soft>
          {price !== undefined ? (
            <View className="gap-2" role="status">
              <Body className="font-thick">
                {price > 0 ? t('plan.price', { seconds: price }) : t('plan.noPrice')}
              </Body>
              <Button title={t('plan.backToBest')} onPress={() => setFixed([])} />
            </View>
          ) : null}
          <TimeLine
            lanes={toLanes(
              plan.happenings,
              plan.totals.seconds,
              circumstances.includes('freezing') ? WARM_UP.frost : WARM_UP.usual,
            )}
            end={plan.totals.seconds}
          />
          {plan.helperless.length > 0 ? (
            <Body role="alert" className="font-thick">
              {t('plan.helperless', { count: plan.helperless.length })}
            </Body>
          ) : null}
          {plan.carry.length > 0 ? (
            <Body>
              {t('begin.carry')}: {plan.carry.map((need) => t(`need.${need}`)).join(', ')}
            </Body>
          ) : null}
        </>
      ) : null}
      {school ? <SchoolChoice school={school} onChange={change} /> : null}
      <Toggles
        label={t('plan.now')}
        options={[{ id: 'running', title: t('plan.running') }]}
        chosen={running ? ['running'] : []}
        onChange={(chosen) => {
          setRunning(chosen.length > 0);
          setFixed([]);
        }}
      />
      {plan ? (
        <View>
          <Heading level={3}>{t('plan.order')}</Heading>
          <PlanStops rig={rig} plan={plan} onMove={move} />
        </View>
      ) : null}
      <Soft>{t('guide')}</Soft>
    </Sheet>
  );
}
