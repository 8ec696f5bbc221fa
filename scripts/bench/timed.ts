const median = (times: number[]) => [...times].sort((a, b) => a - b)[times.length >> 1] as number;
/** Milliseconds that some work takes, over several rounds. */
export const timed = (work: () => void, rounds = 7): { median: number; worst: number } => {
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return { median: median(times), worst: Math.max(...times) };
};

export const text = ({ median: middle, worst }: { median: number; worst: number }) =>
  `median ${middle.toFixed(0)} ms, worst ${worst.toFixed(0)} ms`;
