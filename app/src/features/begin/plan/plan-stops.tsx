import { View } from 'react-native';
import { Body, Button, Soft } from '@/design';
import { useWords } from '@/i18n';
import type { Rig } from '@nazar/core/rig';
import type { PlanAnswer } from '@/workers/planner.worker';

interface PlanStopsProps {
  readonly rig: Rig;
  readonly plan: PlanAnswer;
  readonly onMove: (index: number, by: -1 | 1) => void;
}

/** Stop by stop: when, how long, and why it stands there; a hand may move it. */
export function PlanStops({ rig, plan, onMove }: PlanStopsProps) {
  const t = useWords();
  const zones = new Map(rig.zones.map((zone) => [zone.key, zone]));
  return plan.stops.map((stop, index) => {
    const zone = zones.get(stop.zone);
    const title = zone?.title ?? '';
    return (
      <View key={stop.key} className="flex-row items-center gap-2 border-t border-line py-1">
        <View className="min-w-0 flex-1">
          <Body className="font-thick">
            {index + 1} · {title}
          </Body>
          <Soft>
            {[
              zone?.unit.number,
              t('plan.checks', { count: stop.checks.length }),
              t('plan.minutes', { count: Math.max(1, Math.round(stop.seconds / 60)) }),
              t(
                stop.because.code === 'meanwhile'
                  ? `plan.because.meanwhile-${stop.because.clock}`
                  : `plan.because.${stop.because.code}`,
              ),
            ].join(' · ')}
          </Soft>
        </View>
        <Button
          look="quiet"
          title="↑"
          label={t('plan.earlier', { title })}
          disabled={index === 0}
          onPress={() => onMove(index, -1)}
        />
        <Button
          look="quiet"
          title="↓"
          label={t('plan.later', { title })}
          disabled={index === plan.stops.length - 1}
          onPress={() => onMove(index, 1)}
        />
      </View>
    );
  });
}
