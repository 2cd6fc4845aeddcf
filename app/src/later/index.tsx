import { lazy, Suspense, type ComponentProps, type ComponentType } from 'react';
import { Body, Screen } from '@/design';
import { useWords } from '@/i18n';

type Screens = typeof import('./screens');

const load = () => import('./screens');

/**
 * The screens behind the first one come in one piece. Each in a piece of its own would have what any two of them share loaded before
 * somebody can even sign in, for that is where the bundler puts it.
 */
function later<Name extends keyof Screens>(name: Name) {
  const Loaded = lazy(async () => ({
    default: (await load())[name] as unknown as ComponentType<object>,
  }));
  return function Later(props: ComponentProps<Screens[Name]>) {
    return (
      <Suspense fallback={<Loading />}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}

function Loading() {
  const t = useWords();
  return (
    <Screen>
      <Body>{t('loading')}</Body>
    </Screen>
  );
}

/** Brings them while nobody waits for them, so that the first touch finds them here. */
export const bringLaterScreens = () => void load().catch(() => undefined);

export const BeginScreen = later('BeginScreen');
export const CompareScreen = later('CompareScreen');
export const ContentScreen = later('ContentScreen');
export const DeskScreen = later('DeskScreen');
export const FaultScreen = later('FaultScreen');
export const HelpScreen = later('HelpScreen');
export const JoinScreen = later('JoinScreen');
export const LeaveScreen = later('LeaveScreen');
export const LogbookScreen = later('LogbookScreen');
export const ReportScreen = later('ReportScreen');
export const RigBuilderScreen = later('RigBuilderScreen');
export const RoadScreen = later('RoadScreen');
export const RulesScreen = later('RulesScreen');
export const SignScreen = later('SignScreen');
export const VerifyScreen = later('VerifyScreen');
export const WalkScreen = later('WalkScreen');
export const WorkshopScreen = later('WorkshopScreen');
export const YouScreen = later('YouScreen');
