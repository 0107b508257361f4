'use client';

import { useEffect, useState } from 'react';
import { endpoints } from '@/contracts/endpoints/endpoints';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import { scoreThree, type ThreeAnswers, type ThreeScores } from '@/core/drills/three-questions';
import { type GuessRecord } from '@/contracts/attempt';
import { call } from '@/ui/api';
import { showError } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDeskStore } from '../desk-store';
import { useStudyId } from '../facts';
import type { Point } from '../view';
import { guessSender } from './send-guesses';

/** Of this window, not of one place: what could not be sent waits for the next guess anywhere. */
const sendGuess = guessSender((attempt) => call(endpoints.keepAttempt, { body: attempt }));

interface Guessed {
  /** Whether the guess is over: guessed, or skipped. */
  shown: boolean;
  /** How the guess came out; null when it was skipped. */
  scores: ThreeScores | null;
  /** How all of them did, once the server has kept this one. */
  record: GuessRecord | null;
  guess: (colour: Oklab, answers: ThreeAnswers) => void;
  /** Shows the reading without a guess. */
  skip: () => void;
}

/** A guess of one thing, known by its key (null for none), before its reading is shown. */
export function useGuess(key: string | null): Guessed {
  const studyId = useStudyId();
  const { settings } = useSettings();
  const [shown, setShown] = useState<{ key: string; scores: ThreeScores | null } | null>(null);
  const [record, setRecord] = useState<GuessRecord | null>(null);
  const isShown = shown !== null && shown.key === key;
  const show = (scores: ThreeScores | null) => {
    if (key === null) return;
    setRecord(null);
    setShown({ key, scores });
  };
  return {
    shown: isShown,
    scores: isShown ? shown.scores : null,
    record: isShown && shown.scores ? record : null,
    guess: (colour, answers) => {
      show(scoreThree(colour, answers, wheelOf(settings.wheel)));
      const attempt = {
        id: crypto.randomUUID(),
        studyId,
        colour,
        guess: { ...answers, wheel: settings.wheel },
      };
      sendGuess(attempt).then(setRecord, showError);
    },
    skip: () => show(null),
  };
}

/** The guess of a place (null for none) that comes before its reading, if the person wants to guess. */
export function useGuessing(place: Point | null): Guessed & { waits: boolean } {
  const { settings } = useSettings();
  const { set } = useDeskStore().getState();
  const guessed = useGuess(place && `${place.x} ${place.y}`);
  const waits = settings.askFirst && place !== null && !guessed.shown;

  useEffect(() => {
    set({ guessing: waits });
    return () => set({ guessing: false });
  }, [waits, set]);

  return { ...guessed, waits };
}
