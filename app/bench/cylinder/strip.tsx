import { LOOK_PS, STRIP_PS } from '@core/practicals/cylinder/plan';
import { EDGE, heightOf, Paper, WIDTH } from './paper';

/** A strip of paper that moves under a pen. */

const xOf = (ago: number) => WIDTH - EDGE.right - (ago / STRIP_PS) * (WIDTH - EDGE.left - EDGE.right);
const PAST = `the last ${STRIP_PS} ps`;

const Line = ({ value, most }: { value: number; most: number }) => (
  <path
    d={`M${EDGE.left} ${heightOf(value, most)} H${WIDTH - EDGE.right}`}
    className="stroke-reed"
    strokeWidth={1.5}
    data-testid="mean-line"
  />
);

interface StripProps {
  /** The newest at the end. */
  values: readonly number[];
  mean: number | null;
  uncertainty: number | null;
  name: string;
}

/** What is watched, look by look, the mean so far as a line, and how sure that is as a band. */
export function Strip({ values, mean, uncertainty, name }: StripProps) {
  const most = 1.15 * Math.max(...values, mean ?? 0) || 1;
  const points = values.map(
    (value, i) => `${xOf((values.length - 1 - i) * LOOK_PS).toFixed(1)},${heightOf(value, most).toFixed(1)}`,
  );
  const last = values.at(-1);
  return (
    <Paper most={most} caption={`${name}, ${PAST}`} testId="strip">
      {mean !== null && uncertainty !== null && (
        <rect
          x={EDGE.left}
          width={WIDTH - EDGE.left - EDGE.right}
          y={heightOf(mean + 2 * uncertainty, most)}
          height={Math.max(heightOf(mean - 2 * uncertainty, most) - heightOf(mean + 2 * uncertainty, most), 1)}
          className="fill-reed/20"
        />
      )}
      {mean !== null && <Line value={mean} most={most} />}
      <polyline points={points.join(' ')} className="stroke-heather fill-none" strokeWidth={1.2} />
      {last !== undefined && <path d={`M${xOf(0)} ${heightOf(last, most)} l9 -4 v8 Z`} className="fill-ink" />}
    </Paper>
  );
}

/** Each impact on the piston as a stroke as long as its push. */
export function Pushes({ heard, mean }: { heard: readonly { ago: number; push: number }[]; mean: number | null }) {
  const most = 1.15 * Math.max(...heard.map(({ push }) => push), mean ?? 0) || 1;
  const ground = heightOf(0, most);
  return (
    <Paper most={most} caption={`pushes on the piston / yN·s, ${PAST}`} testId="pushes">
      {heard.map(({ ago, push }, i) => (
        <path
          key={`${ago} ${push}`}
          d={`M${xOf(ago)} ${ground} V${heightOf(push, most)}`}
          className={i === heard.length - 1 && ago < 1e-6 ? 'stroke-heather' : 'stroke-ink'}
          strokeWidth={i === heard.length - 1 && ago < 1e-6 ? 2.4 : 1}
        />
      ))}
      {mean !== null && <Line value={mean} most={most} />}
    </Paper>
  );
}
