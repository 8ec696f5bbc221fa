import type { AnyFrame } from '@core/practicals/registry';

const between = (a: number, b: number, part: number) => a + part * (b - a);

/** Levels rise and fall smoothly between two frames; all else is as the first shows it. */
export function blend(frame: AnyFrame, next: AnyFrame, part: number): AnyFrame {
  if (frame.family === 'titration' && next.family === 'titration')
    return { ...frame, levelMl: between(frame.levelMl, next.levelMl, part) };
  if (frame.family === 'measuring' && next.family === 'measuring') {
    const levels = frame.levels.map((level, i) => between(level, next.levels[i] ?? level, part));
    return { ...frame, levels };
  }
  if (frame.family === 'gases' && next.family === 'gases') {
    const plungers = frame.plungers.map((ml, i) => between(ml, next.plungers[i] ?? ml, part));
    return { ...frame, plungers };
  }
  return frame;
}
