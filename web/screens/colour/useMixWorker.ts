import type { Correction, Cup, MarksRead, Recipe, RecipeWish } from '#core/colour/index';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { MarksQuestion, MixApi } from '../../workers/mix.worker.ts';

/** Answers of the mixing worker; an answer that is no longer asked for is dropped. */

function useAnswer<Q, A>(question: Q | null, ask: (worker: Remote<MixApi>, question: Q) => Promise<A>): A | null {
  const worker = useRef<{ own: Worker; remote: Remote<MixApi> } | null>(null);
  const [answered, setAnswered] = useState<{ question: Q; answer: A } | null>(null);
  useEffect(
    () => () => {
      worker.current?.own.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    if (question === null) return;
    let stale = false;
    if (!worker.current) {
      const own = new Worker(new URL('../../workers/mix.worker.ts', import.meta.url), { type: 'module' });
      worker.current = { own, remote: wrap<MixApi>(own) };
    }
    ask(worker.current.remote, question).then((answer) => {
      if (!stale) setAnswered({ question, answer });
    });
    return () => {
      stale = true;
    };
  }, [question, ask]);
  return question !== null && answered?.question === question ? answered.answer : null;
}

/** Enough to choose from once those with two paints to buy are left out. */
const WAYS = 12;
const askRecipes = (worker: Remote<MixApi>, wish: RecipeWish) => worker.recipes(wish, WAYS);
const askCorrection = (worker: Remote<MixApi>, cup: Cup) => worker.correction(cup);

/** Recipes for a wish, nearest first; null while they are searched. */
export function useRecipes(wish: RecipeWish | null): readonly Recipe[] | null {
  return useAnswer(wish, askRecipes);
}

export function useCorrection(cup: Cup | null): Correction | null {
  return useAnswer(cup, askCorrection);
}

const askMarks = async (worker: Remote<MixApi>, marks: MarksQuestion): Promise<MarksRead> => await worker.marks(marks);

/** What marks on a picture say of its colour; null until they are sampled. */
export function useMarks(marks: MarksQuestion | null): MarksRead | null {
  return useAnswer(marks, askMarks);
}
