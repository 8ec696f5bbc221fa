import { useEffect, useMemo } from 'react';
import { z } from 'zod';
import { Button } from '@app/ui/form';
import { useKept } from '@app/ui/use-kept';

const wordsSchema = z.record(z.string(), z.string());

function readWords(text: string): Record<string, string> {
  try {
    return wordsSchema.parse(JSON.parse(text));
  } catch {
    return {};
  }
}

/**
 * New return words of students, from when they are made until the teacher has put each away: in this tab alone, across
 * loading the page again.
 */
export function useNewWords(renewed: { studentId: string; words: string } | undefined) {
  const [text, keep] = useKept('fen-new-words', '{}', 'tab');
  const words = useMemo(() => readWords(text), [text]);
  useEffect(() => {
    if (!renewed) return;
    const kept = readWords(sessionStorage.getItem('fen-new-words') ?? '{}');
    keep(JSON.stringify({ ...kept, [renewed.studentId]: renewed.words }));
  }, [renewed, keep]);
  const putAway = (studentId: string) => {
    const { [studentId]: _gone, ...rest } = words;
    keep(JSON.stringify(rest));
  };
  return { words, putAway };
}

/** The words where they were asked for. */
export function NewWords({ name, words, onPutAway }: { name: string; words: string; onPutAway: () => void }) {
  return (
    <p role="status" className="border-heather bg-mist flex basis-full flex-wrap items-center gap-3 border-l-4 p-2">
      <span>
        New return words: <strong className="font-mono">{words}</strong>. The old ones no longer work.
      </span>
      <Button type="button" look="quiet" onClick={onPutAway} aria-label={`Put the words of ${name} away`}>
        Put away
      </Button>
    </p>
  );
}
