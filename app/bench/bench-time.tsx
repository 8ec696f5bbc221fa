import { useEffect, useState } from 'react';
import { PACES, type Pace } from '@core/practicals/bench-clock';
import { benchClock } from '@app/ui/bench-clock';
import type { Bench } from './use-bench';

/** How often the clock is looked at, ms: it shows whole seconds. */
const LOOK_MS = 200;

/** Bench time as it shows now: it has a beat of its own, so that nothing else is drawn anew with each second. */
function useBenchTime(moment: Bench['moment']): string {
  const [text, setText] = useState(() => benchClock(moment().atS));
  useEffect(() => {
    const timer = setInterval(() => setText(benchClock(moment().atS)), LOOK_MS);
    return () => clearInterval(timer);
  }, [moment]);
  return text;
}

/** So long can be waited by one press, s. */
const WAITS_S = [10, 30, 60, 120, 180, 300, 600, 900];
const STANDS = 'Nothing at this bench changes by itself now. The clock goes on with your next act.';
const CHOICE = 'border-line-strong bg-paper text-ink h-7 rounded-[3px] border px-1';

interface BenchTimeProps {
  bench: Pick<Bench, 'moment' | 'view' | 'act'>;
  fixed: boolean;
  /** Whether this is a bench at which time is waited for. */
  waits: boolean;
}

/** The bench clock: what it shows, how fast it runs, and whether it is stopped. */
export function BenchTime({ bench, fixed, waits }: BenchTimeProps) {
  const { paused, pace, running } = bench.view;
  const time = useBenchTime(bench.moment);
  const faster = (times: Pace) => bench.act({ kind: 'pace', times });
  const wait = (seconds: number) => bench.act({ kind: 'pass', seconds });
  const stands = !fixed && !paused && !running;
  return (
    <div className="flex items-center gap-2 text-sm" role="group" aria-label="Bench clock">
      <span
        className={paused ? 'text-sedge font-medium' : 'text-ink-soft max-lg:sr-only'}
        data-testid="clock-says"
        title={stands ? STANDS : undefined}
      >
        {paused ? 'bench clock stopped' : stands ? 'stands: all at rest' : 'bench clock'}
      </span>
      <span className="font-mono tabular-nums" data-testid="bench-time" aria-label={`bench time ${time}`}>
        {time}
      </span>
      {!fixed && waits && (
        <select
          aria-label="Wait at the bench"
          value=""
          onChange={(event) => wait(Number(event.target.value))}
          className={CHOICE}
        >
          <option value="">wait…</option>
          {WAITS_S.map((seconds) => (
            <option key={seconds} value={seconds}>
              wait {seconds < 60 ? `${seconds} s` : `${seconds / 60} min`}
            </option>
          ))}
        </select>
      )}
      {!fixed && (
        <label className="text-ink-soft flex items-center gap-1">
          <span className="sr-only">Pace of the bench clock</span>
          <select value={pace} onChange={(event) => faster(Number(event.target.value) as Pace)} className={CHOICE}>
            {PACES.map((times) => (
              <option key={times} value={times}>
                {times === 1 ? 'real time' : `${times} times as fast`}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
