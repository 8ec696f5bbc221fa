import type { Mark } from '@core/notebook/document';

type Place = readonly [number, number];

const path = (points: readonly Place[]) => points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');

/** The head of an arrow: two strokes at its end. */
function head([x1, y1]: Place, [x2, y2]: Place): string {
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const stroke = (turn: number) =>
    `M${x2} ${y2}L${x2 - 22 * Math.cos(angle + turn)} ${y2 - 22 * Math.sin(angle + turn)}`;
  return stroke(0.45) + stroke(-0.45);
}

/** What was drawn and written on a sketch, in thousandths of its width. */
export function Marks({ marks }: { marks: readonly Mark[] }) {
  return (
    <g fill="none" stroke="var(--heather)" strokeWidth={4} strokeLinecap="round" strokeLinejoin="round">
      {marks.map((mark) => {
        if (mark.kind === 'free')
          return <path key={mark.id} d={mark.points.length === 1 ? `${path(mark.points)}h1` : path(mark.points)} />;
        if (mark.kind === 'label')
          return (
            <text
              key={mark.id}
              x={mark.at[0]}
              y={mark.at[1]}
              fontSize={30}
              fill="var(--heather)"
              stroke="none"
              className="font-serif"
            >
              {mark.text}
            </text>
          );
        const arrow = mark.kind === 'arrow' ? head(mark.from, mark.to) : '';
        return <path key={mark.id} d={path([mark.from, mark.to]) + arrow} />;
      })}
    </g>
  );
}
