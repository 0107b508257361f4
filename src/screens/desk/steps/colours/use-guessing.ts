'use client';

import { useEffect, useState } from 'react';
import type { Oklab } from '@/core/colour/oklab';
import { wheelOf } from '@/core/colour/wheel';
import { scoreThree, type ThreeAnswers, type ThreeScores } from '@/core/drills/three-questions';
import { recordSchema, type GuessRecord } from '@/contracts/attempt';
import { call } from '@/ui/api';
import { showFault } from '@/ui/notices';
import { useSettings } from '@/ui/settings';
import { useDeskStore, type Point } from '../../desk-store';
import { guessSender } from './send-guesses';

/** Of this window, not of one place: what could not be sent waits for the next guess anywhere. */
const sendGuess = guessSender((attempt) => call('POST', '/api/attempts', recordSchema, attempt));

interface Guessing {
  /** Whether the reading of the place is held back until there is a guess. */
  waits: boolean;
  /** How the guess of this place came out; null when it was skipped. */
  scores: ThreeScores | null;
  /** How all of them did, once the server has kept this one. */
  record: GuessRecord | null;
  guess: (colour: Oklab, answers: ThreeAnswers) => void;
  /** Shows the place's reading without a guess. */
  skip: () => void;
}

/** The guess of a place (null for none) that is asked for before its reading. */
export function useGuessing(studyId: string, place: Point | null): Guessing {
  const { settings } = useSettings();
  const { set } = useDeskStore().getState();
  const [shown, setShown] = useState<{ place: string; scores: ThreeScores | null } | null>(null);
  const [record, setRecord] = useState<GuessRecord | null>(null);
  const key = place && `${place.x} ${place.y}`;
  const isShown = shown !== null && shown.place === key;
  const waits = settings.askFirst && key !== null && !isShown;

  useEffect(() => {
    set({ guessing: waits });
    return () => set({ guessing: false });
  }, [waits, set]);

  const show = (scores: ThreeScores | null) => {
    if (key === null) return;
    setRecord(null);
    setShown({ place: key, scores });
  };
  return {
    waits,
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
      sendGuess(attempt).then(setRecord, showFault);
    },
    skip: () => show(null),
  };
}
