import type { Caution } from '@nazar/core/catalogue';
import type { ReactNode } from 'react';
import { ScrollView, useWindowDimensions, View } from 'react-native';
import { HintedScroll, SignalWords } from '@/design';
import { useWords } from '@/i18n';
import { SHORT } from './dock';

/** Less high than this, the screen scrolls as a whole: large letters, a small phone, px. */
const WHOLE = 600;
/** Less high than this, what can kill and what is forbidden have no room beside news and list, px. */
const TALL = 860;
/** From this width on drawing and list stand side by side, px. */
const WIDE = 900;

/** How much room there is, and what comes first in it. */
export interface Room {
  readonly wide: boolean;
  /** A very short screen scrolls as a whole. */
  readonly whole: boolean;
  readonly height: number;
  /** The present check must not be made: why takes room. */
  readonly forbids: boolean;
}

export function useRoom(forbids: boolean): Room {
  const { width, height } = useWindowDimensions();
  const wide = width >= WIDE;
  return { wide, whole: !wide && height < (forbids ? SHORT : WHOLE), height, forbids };
}

interface WalkLayoutProps {
  readonly room: Room;
  /** The present check; the scroll begins anew with it. */
  readonly checkKey: string;
  /** What can kill is read at this step: it comes before the drawing and the list. */
  readonly grave: boolean;
  /** Clocks and gloves take room on a phone; the drawing gives it, never the words of a caution. */
  readonly cramped: boolean;
  /** Something comes before the answer: its words take the room of the drawing. */
  readonly hasStep: boolean;
  readonly cautions: readonly Caution[];
  readonly top: ReactNode;
  readonly banners: ReactNode;
  readonly map: ReactNode;
  readonly heading: ReactNode;
  readonly stops: ReactNode;
  readonly checks: ReactNode;
  readonly clocks: ReactNode;
  readonly dock: ReactNode;
}

/** News and the list of checks stand inside of the dock where the screen is too short for them beside it. */
export const standsInDock = ({ whole, height, forbids }: Room, grave: boolean): boolean =>
  whole || (grave && height < (forbids ? TALL : SHORT));

/** Where the parts of a walk stand on a phone, on a very short one, and on a wide screen. */
export function WalkLayout(props: WalkLayoutProps) {
  const { room, grave, cramped, banners, top, heading, dock, clocks } = props;
  const t = useWords();
  const { wide, whole, height } = room;
  const inDock = standsInDock(room, grave);
  const showsMap =
    wide || (!banners && !grave && !props.hasStep && !room.forbids && height >= SHORT);
  return (
    <>
      {whole ? null : top}
      {wide ? banners : null}
      <View className={`mx-auto min-h-0 w-full max-w-[1280px] flex-1 ${wide ? 'flex-row' : ''}`}>
        <View className={wide ? 'w-[46%] p-4' : cramped ? 'w-1/2 self-center pt-1' : 'px-2 pt-1'}>
          {showsMap ? props.map : null}
          {wide ? (
            <ScrollView className="mt-3 min-h-0 flex-1" contentContainerClassName="gap-2 p-1">
              {props.cautions.map((caution) => (
                <SignalWords key={caution.words} caution={caution} />
              ))}
              {props.stops}
            </ScrollView>
          ) : null}
        </View>
        {whole ? (
          <HintedScroll key={props.checkKey} hint={t('more')} fills>
            {heading}
            {dock}
            {clocks}
            {top}
          </HintedScroll>
        ) : (
          <View className="min-h-0 flex-1">
            {heading}
            {wide || inDock ? null : banners}
            {inDock ? null : props.checks}
            {clocks}
            {dock}
          </View>
        )}
      </View>
    </>
  );
}
