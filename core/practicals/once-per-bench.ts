/** Works something out once for each bench; a bench belongs to one setup and one sample and never changes. */
export function oncePerBench<Setup, Sample, Bench extends object, Found>(
  workOut: (setup: Setup, sample: Sample, bench: Bench) => Found,
): (setup: Setup, sample: Sample, bench: Bench) => Found {
  const known = new WeakMap<Bench, { found: Found }>();
  return (setup, sample, bench) => {
    const kept = known.get(bench) ?? { found: workOut(setup, sample, bench) };
    known.set(bench, kept);
    return kept.found;
  };
}

/** What a bench comes to by itself, worked out once; beside a bench that it is compared with, each time. */
export function onceAlone<Bench extends object, Found>(
  workOut: (bench: Bench, was?: Bench) => Found,
): (bench: Bench, was?: Bench) => Found {
  const known = new WeakMap<Bench, { found: Found }>();
  return (bench, was) => {
    if (was) return workOut(bench, was);
    const kept = known.get(bench) ?? { found: workOut(bench) };
    known.set(bench, kept);
    return kept.found;
  };
}
