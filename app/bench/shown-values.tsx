/** What gauges or counters showed, by name. */
export const ShownValues = ({
  values,
}: {
  values: readonly { name: string; text: string | undefined; unit: string }[];
}) => (
  <dl className="grid grid-cols-[auto_auto] gap-x-3 font-mono text-sm">
    {values.map(({ name, text, unit }) => (
      <div key={name} className="contents">
        <dt className="font-sans">{name}</dt>
        <dd>
          {text ?? '–'} {unit}
        </dd>
      </div>
    ))}
  </dl>
);
