import { useRef, useState } from 'react';
import { usePlotArea, useXAxisInverseScale, useXAxisScale, useYAxisInverseScale, useYAxisScale } from 'recharts';
import type { PlottedSeries } from '@core/notebook/graph-values';
import type { Chosen } from './chosen';

export type Tool = 'point' | 'line' | 'closer';

interface GraphHandProps {
  tool: Tool;
  series: readonly PlottedSeries[];
  chosen: Chosen | null;
  onChoose: (chosen: Chosen | null) => void;
  /** A stretch was dragged: its ends in the units of the axes. */
  onStretch: (x: [number, number], y: [number, number]) => void;
  name: string;
}

/** The hand on a graph: points at a point, or drags over a stretch. Arrow keys go from point to point. */
export function GraphHand({ tool, series, chosen, onChoose, onStretch, name }: GraphHandProps) {
  const area = usePlotArea();
  const xScale = useXAxisScale();
  const left = useYAxisScale('left');
  const right = useYAxisScale('right');
  const xInverse = useXAxisInverseScale();
  const yInverse = useYAxisInverseScale('left');
  const [drag, setDrag] = useState<{ x0: number; y0: number; x1: number; y1: number } | null>(null);
  const surface = useRef<SVGRectElement>(null);
  if (!area || !xScale || !left || !xInverse || !yInverse) return null;

  const place = (event: React.PointerEvent): [number, number] => {
    const box = (surface.current?.ownerSVGElement as SVGSVGElement).getBoundingClientRect();
    const clamp = (value: number, from: number, size: number) => Math.min(Math.max(value, from), from + size);
    return [clamp(event.clientX - box.left, area.x, area.width), clamp(event.clientY - box.top, area.y, area.height)];
  };
  const unit = series[0]?.yUnit;
  const nearest = (x: number, y: number): Chosen | null => {
    let best: Chosen | null = null;
    let least = 24 ** 2;
    for (const one of series) {
      const yScale = one.yUnit === unit ? left : (right ?? left);
      for (const point of one.points) {
        const far = (Number(xScale(point.x)) - x) ** 2 + (Number(yScale(point.y)) - y) ** 2;
        if (far < least) [best, least] = [{ series: one, point }, far];
      }
    }
    return best;
  };
  const step = (by: number) => {
    const one = chosen?.series ?? series[0];
    if (!one || one.points.length === 0) return;
    const points = [...one.points].sort((a, b) => a.x - b.x);
    const at = points.findIndex((point) => point.row === chosen?.point.row);
    const next = points[at < 0 ? (by > 0 ? 0 : points.length - 1) : Math.min(Math.max(at + by, 0), points.length - 1)];
    if (next) onChoose({ series: one, point: next });
  };
  const end = () => {
    if (!drag) return;
    setDrag(null);
    if (Math.abs(drag.x1 - drag.x0) < 5) return;
    const xs = [drag.x0, drag.x1].map((x) => Number(xInverse(x))).sort((a, b) => a - b);
    const ys = [drag.y0, drag.y1].map((y) => Number(yInverse(y))).sort((a, b) => a - b);
    onStretch(xs as [number, number], ys as [number, number]);
  };
  return (
    <>
      {drag && (
        <rect
          x={Math.min(drag.x0, drag.x1)}
          y={tool === 'line' ? area.y : Math.min(drag.y0, drag.y1)}
          width={Math.abs(drag.x1 - drag.x0)}
          height={tool === 'line' ? area.height : Math.abs(drag.y1 - drag.y0)}
          fill="var(--water)"
          fillOpacity={0.14}
          stroke="var(--water)"
        />
      )}
      <rect
        ref={surface}
        {...area}
        fill="transparent"
        tabIndex={0}
        role="group"
        aria-label={`Points of ${name}. Left and right arrow go from point to point.`}
        data-testid="graph-hand"
        style={{ cursor: tool === 'point' ? 'pointer' : 'crosshair', touchAction: 'none' }}
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          const [x, y] = place(event);
          if (tool === 'point') return onChoose(nearest(x, y));
          event.currentTarget.setPointerCapture(event.pointerId);
          setDrag({ x0: x, y0: y, x1: x, y1: y });
        }}
        onPointerMove={(event) => {
          if (!drag) return;
          const [x1, y1] = place(event);
          setDrag({ ...drag, x1, y1 });
        }}
        onPointerUp={end}
        onPointerCancel={() => setDrag(null)}
        onKeyDown={(event) => {
          const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
          if (by) {
            event.preventDefault();
            step(by);
          } else if (event.key === 'Escape') {
            setDrag(null);
            onChoose(null);
          }
        }}
      />
    </>
  );
}
