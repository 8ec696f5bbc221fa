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
