import type { Procedure } from '@nazar/core/catalogue';
import type { UnreadRepair } from '@nazar/core/grading';
import type { InstanceAssessment } from '@nazar/core/inspection';
import type { UnitHabit } from '@nazar/core/quantity';
import type { CheckInstance } from '@nazar/core/rig';
import { callLamps, startLimitsOf, valueOf } from '@nazar/core/walking';
import type { ComponentProps } from 'react';
import type { Walk } from '@/state/walk';
import { CannotSheet } from './cannot-sheet';
import { CountSheet } from './count-sheet';
import { HappeningSheet } from './happening-sheet';
import { HelperSheet } from './helper-sheet';
import { KeysSheet } from './keys-sheet';
import { LampSheet } from './lamp-sheet';
import type { LastReading } from './dock';
import { ProcedureSheet } from './procedure-sheet';
import { RatedLoad } from './rated-load';
import { ReadingSheet } from './reading-sheet';
import { RepairsSheet } from './repairs';
import { StandSheet } from './state-bar';
import { StartSheet } from './start-sheet';
import { StopsSheet } from './stops-sheet';
import { TagSheet } from './tag-sheet';
import type { useAnswers } from './use-answers';
import type { Live } from './use-live';

export type OpenSheet =
  | 'cannot'
  | 'count'
  | 'cycle'
  | 'happening'
  | 'helper'
  | 'keys'
  | 'lamps'
  | 'reading'
  | 'repairs'
  | 'stand'
  | 'start'
  | 'stops'
  | 'tag'
  | undefined;

interface WalkSheetsProps {
  readonly sheet: OpenSheet;
  readonly walk: Walk;
  readonly live: Live;
  readonly current: CheckInstance;
  readonly assessed: InstanceAssessment;
  readonly habit: UnitHabit;
  readonly last: LastReading | undefined;
  readonly procedure: Procedure | undefined;
  readonly repairs: readonly UnreadRepair[];
  readonly stopList: Omit<ComponentProps<typeof StopsSheet>, 'onClose'>;
  readonly answers: ReturnType<typeof useAnswers>;
  readonly open: (sheet: OpenSheet) => void;
  readonly close: () => void;
  readonly onFault: (key: string, symptomId?: string) => void;
  readonly onSkip: () => void;
  readonly onStarted: () => void;
  readonly onShut: () => void;
  readonly onReportStart: () => void;
  readonly onNamed: (name: string) => void;
  readonly onParted: () => void;
}

/** Whatever rises over the walk. */
export function WalkSheets(props: WalkSheetsProps) {
  const { sheet, walk, live, current, assessed, habit, procedure, answers, open, close } = props;
  const { inspection, rig } = walk;
  const { key } = current;
  const placed = rig.units.find(({ unit }) => unit.id === current.unit.id);
  switch (sheet) {
    case 'reading':
      return (
        <ReadingSheet
          key={`${key} ${assessed.state}`}
          instance={current}
          habit={habit}
          combinationAir={rig.combinationAir}
          last={props.last}
          first={
            assessed.state === 'again' && assessed.answer?.outcome === 'measured'
              ? assessed.answer.readings[0].value
              : undefined
          }
          onKeep={(typed) => void answers.keepReading(typed)}
          onClose={close}
        />
      );
    case 'cycle':
      return procedure ? (
        <ProcedureSheet
          key={key}
          procedure={procedure}
          check={current.check}
          habit={habit}
          chart={placed && <RatedLoad placed={placed} habit={habit} />}
          helper={inspection.course.helper?.name}
          onGood={() => void answers.walkedThrough()}
          onFailed={(symptomId) => props.onFault(key, symptomId)}
          onClose={close}
        />
      ) : null;
    case 'count':
      return current.contents ? (
        <CountSheet
          key={key}
          title={current.check.title}
          list={current.contents}
          before={inspection.counts.get(key)?.items}
          day={new Date().toISOString().slice(0, 10)}
          onKeep={(items, complete) => void answers.keepCount(items, complete)}
          onClose={close}
        />
      ) : null;
    case 'cannot':
      return (
        <CannotSheet
          onKeep={(reason) => void answers.answer({ outcome: 'not-looked', reason })}
          onClose={close}
        />
      );
    case 'stops':
      return <StopsSheet {...props.stopList} onClose={close} />;
    case 'repairs':
      return props.repairs.length > 0 ? (
        <RepairsSheet
          repairs={props.repairs}
          onAcknowledge={(id) =>
            void answers
              .acknowledge(id)
              .then((kept) => (kept && props.repairs.length === 1 ? close() : undefined))
          }
          onClose={close}
        />
      ) : null;
    case 'keys':
      return <KeysSheet onClose={close} />;
    case 'stand':
      return (
        <StandSheet
          state={live.state}
          layout={live.layout}
          leftOut={live.leftOut}
          numberOf={(unitId) => rig.units.find(({ unit }) => unit.id === unitId)?.unit.number ?? ''}
          onChange={(change, unitId) => {
            if (change === 'start') open('start');
            else void live.change(change, unitId).then((kept) => (kept ? close() : undefined));
          }}
          onFound={(change, unitId) =>
            void live.found(change, unitId).then((kept) => (kept ? close() : undefined))
          }
          onClose={close}
        />
      );
    case 'start':
      return (
        <StartSheet
          limits={startLimitsOf(rig.units[0].unit.specification)}
          onRuns={props.onStarted}
          onShut={props.onShut}
          onReport={props.onReportStart}
          onClose={close}
        />
      );
    case 'tag': {
      const zone = rig.zones.find((each) => each.key === current.zoneKey);
      return zone ? (
        <TagSheet
          zone={zone}
          onRead={(code, how) =>
            void live
              .tell('present', { zone: zone.key, code, how })
              .then((kept) => (kept ? close() : undefined))
          }
          onClose={close}
        />
      ) : null;
    }
    case 'happening':
      return (
        <HappeningSheet
          walk={walk}
          lamps={callLamps(walk.stops, inspection, inspection.course.helper !== undefined).length}
          onTurned={(circumstance) =>
            void live
              .tell('turned', { circumstances: [circumstance] })
              .then((kept) => (kept ? close() : undefined))
          }
          onDropped={(unitId, reason) =>
            void live
              .tell('dropped', { unitId, reason })
              .then((kept) => (kept ? close() : undefined))
          }
          onSkip={props.onSkip}
          onHelper={() => open('helper')}
          onLamps={() => open('lamps')}
          onClose={close}
        />
      );
    case 'helper':
      return (
        <HelperSheet
          walk={walk}
          onNamed={props.onNamed}
          onParted={props.onParted}
          onClose={close}
        />
      );
    case 'lamps':
      return (
        <LampSheet
          walk={walk}
          lampsOn={valueOf(live.state, 'lamps') === 'on'}
          onLampsOn={() => void live.change('lamps-on')}
          onLit={(instance) => void answers.soundOf(instance)}
          onDark={(instance, symptomId) => void answers.keepFault(instance, symptomId)}
          onAsk={(keys) => void live.tell('asked', { keys })}
          onClose={close}
        />
      );
    case undefined:
      return null;
  }
}
