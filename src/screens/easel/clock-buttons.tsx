import { Bell, BellOff, Pause, Play, Plus, SkipForward, Square } from 'lucide-react';
import type { ClockEvent, ClockReading } from '@/core/session/clock';
import { MORE_MINUTES } from '@/study/session-edits';
import { Button } from '@/ui/button';

const SIZE = 'min-h-14 min-w-14 px-4 text-lg';

/** What can be done with the clock; large enough for a hand with paint on it. */
export function ClockButtons({
  clock: { phase },
  isLastStage,
  isMuted,
  onPress,
  onMute,
}: {
  clock: ClockReading;
  isLastStage: boolean;
  isMuted: boolean;
  onPress: (is: ClockEvent['is']) => void;
  onMute: () => void;
}) {
  const goes = phase === 'running' || phase === 'paused';
  return (
    <>
      {phase === 'ready' && (
        <Button weight="strong" className={SIZE} onClick={() => onPress('start')}>
          <Play size={22} aria-hidden /> Begin
        </Button>
      )}
      {phase === 'running' && (
        <Button weight="strong" className={SIZE} onClick={() => onPress('pause')}>
          <Pause size={22} aria-hidden /> Pause
        </Button>
      )}
      {phase === 'paused' && (
        <Button weight="strong" className={SIZE} onClick={() => onPress('resume')}>
          <Play size={22} aria-hidden /> Go on
        </Button>
      )}
      {goes && (
        <>
          <Button
            className={SIZE}
            disabled={isLastStage}
            onClick={() => onPress('next')}
            title="Next stage (N)"
          >
            <SkipForward size={22} aria-hidden /> Next stage
          </Button>
          <Button className={SIZE} onClick={() => onPress('more')} title="Five more minutes (M)">
            <Plus size={22} aria-hidden /> {MORE_MINUTES} more minutes
          </Button>
          <Button className={SIZE} onClick={() => onPress('end')}>
            <Square size={20} aria-hidden /> Finish
          </Button>
        </>
      )}
      {phase !== 'ended' && (
        <Button className={SIZE} aria-pressed={isMuted} onClick={onMute} title="Bell on or off (B)">
          {isMuted ? <BellOff size={22} aria-hidden /> : <Bell size={22} aria-hidden />}
          {isMuted ? 'Bell off' : 'Bell on'}
        </Button>
      )}
    </>
  );
}
