import type { Circumstance } from '@nazar/core/catalogue';
import { formatSi, unitFor } from '@nazar/core/quantity';
import { changesOf, followPlan, USUAL_PACE } from '@nazar/core/planning';
import type { Rig } from '@nazar/core/rig';
import { say } from '@nazar/core/words';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Body, Button, Columns, Heading, Sheet, Soft, Toggles } from '@/design';
import { RigDrawing, toBeads } from '@/drawing';
import { useWords } from '@/i18n';
import { useHabit } from '@/state';
import { toLanes } from './lanes';
import { PlanStops } from './plan-stops';
import { RouteStyleChoice } from './route-style-choice';
import { TimeLine } from './time-line';
import type { Planning } from './use-planning';

interface PlanSheetProps {
  readonly rig: Rig;
  readonly circumstances: readonly Circumstance[];
  readonly planning: Planning;
  /** Checks that a condition adds. */
  readonly added: readonly { readonly circumstance: Circumstance; readonly count: number }[];
  /** What must be said before it can be walked, in words. */
  readonly asked: string | undefined;
  readonly onWalk: () => void;
  readonly onClose: () => void;
}

/** The walk before it is walked: the way, the time, what runs meanwhile, and what another order would cost. */
export function PlanSheet(props: PlanSheetProps) {
  const { rig, circumstances, planning, added, asked, onWalk, onClose } = props;
  const t = useWords();
  const habit = useHabit();
  const { plan, planned, busy, price, routeStyle } = planning;
  const beads = useMemo(
    () => plan && toBeads(followPlan(rig, plan.stops).stops, () => 'unanswered'),
    [plan, rig],
  );
  const length = unitFor('length', habit);
  const metres = (value: number) => formatSi(value, length, 0);
  const minutes = (seconds: number) => Math.round(seconds / 60);
  return (
    <Sheet
      wide
      title={t('plan.title')}
      closeTitle={t('close')}
      onClose={onClose}
      foot={
        <Button
          look="main"
          className="min-h-[64px]"
          title={t('plan.walk')}
          disabled={!plan || busy || asked !== undefined}
          onPress={onWalk}
        />
      }
    >
      {asked ? <Body className="font-thick">{asked}</Body> : null}
      {planned && !planned.ok ? (
        <Body role="alert" className="font-thick text-vermilion">
          {say(planned.says, habit)}
        </Body>
      ) : null}
      {busy ? <Body live>{t('plan.busy')}</Body> : null}
      <Columns
        left={
          <>
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
                {added.map(({ circumstance, count }) => (
                  <Soft key={circumstance}>
                    {t('station.added', {
                      circumstance: t(`circumstance.${circumstance}`),
                      count,
                    })}
                  </Soft>
                ))}
                {circumstances.includes('freezing') &&
                plan.happenings.some((each) => changesOf(each).includes('power-take-off')) ? (
                  <Soft>
                    {t('station.frostOil', {
                      minutes: USUAL_PACE.oilWarmUpInFrost / 60,
                      usual: USUAL_PACE.oilWarmUp / 60,
                    })}
                  </Soft>
                ) : null}
                {price !== undefined ? (
                  <View className="gap-2" role="status">
                    <Body className="font-thick">
                      {price > 0 ? t('plan.price', { seconds: price }) : t('plan.noPrice')}
                    </Body>
                    <Button title={t('plan.backToBest')} onPress={planning.free} />
                  </View>
                ) : null}
                <TimeLine
                  lanes={toLanes({
                    ...plan,
                    end: plan.totals.seconds,
                    freezing: circumstances.includes('freezing'),
                  })}
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
            {routeStyle ? (
              <RouteStyleChoice routeStyle={routeStyle} onChange={planning.setRouteStyle} />
            ) : null}
            <Toggles
              label={t('plan.now')}
              options={[{ id: 'running', title: t('plan.running') }]}
              chosen={planning.running ? ['running'] : []}
              onChange={(chosen) => planning.setRunning(chosen.length > 0)}
            />
          </>
        }
        right={
          <>
            {plan ? (
              <View>
                <Heading level={3}>{t('plan.order')}</Heading>
                <PlanStops rig={rig} plan={plan} onMove={planning.move} />
              </View>
            ) : null}
            <Soft>{t('guide')}</Soft>
          </>
        }
      />
    </Sheet>
  );
}
