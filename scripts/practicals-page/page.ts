import { PRACTICALS, type AnyLabels, type AnyPractical } from '@core/practicals/registry';
import { SUBJECTS, type Subject } from '@core/practicals/subjects';
import { z } from 'zod';

/** All practicals that can be set, as a page of the docs, from what each says of itself. */

/** What the bench of each family is, in a few words. */
const BENCHES: Record<AnyLabels['family'], string> = {
  titration: 'burette, pipette, flask, indicators, balance, volumetric flask, pH probe, conductivity cell',
  measuring: 'cylinders, density bottle, balance, ruler, calliper, thermometer',
  hydrates: 'crucible, burner, desiccator, balance',
  solutions: 'bottles, spot plate, tubes, beakers, pipette, probes, colorimeter, funnel, papers, oven, balance',
  heat: 'cups, beakers, tubes, baths, dry block, lamps, a sealed vessel, thermometers with a logger, balance',
  gases: 'syringes, bulb, bath, gauge, barometer, injector, gas tube, balance',
  particles: 'one particle in a vessel, with its gauges',
  spheres: 'hundreds of particles in a vessel, with jacket, hole and counters',
  cylinder: 'particles under a piston, with pin, load, jacket, valve and counters',
};

const label = (schema: unknown): string | undefined =>
  typeof schema === 'object' && schema !== null && 'label' in schema ? String(schema.label) : undefined;

/** A setting or a question within a line: its marks of the end would end the line. */
const inLine = (text: string) => text.replace(/[.:?]$/, '').replace(/\|/g, '\\|');

function linesOf(practical: AnyPractical): string[] {
  const setup = practical.setup.parse({});
  const { properties = {} } = z.toJSONSchema(practical.setup, { io: 'input' }) as {
    properties?: Record<string, unknown>;
  };
  const found = practical
    .quantities(setup)
    .map((quantity) =>
      quantity.kind === 'number' && quantity.unit !== ''
        ? `${inLine(quantity.label)} (${quantity.unit})`
        : inLine(quantity.label),
    );
  const settings = Object.values(properties).flatMap((property) => label(property) ?? []);
  return [
    `**${practical.title}** (\`${practical.id}\`): ${practical.summary}`,
    '',
    `- found out: ${found.join('; ')}`,
    `- the teacher chooses: ${settings.map(inLine).join('; ')}`,
    '',
  ];
}

/** The page, as Markdown. */
export function practicalsPage(): string {
  const all = Object.values(PRACTICALS) as unknown as AnyPractical[];
  const lines = [
    '# The practicals',
    '',
    `${all.length} practicals on ${Object.keys(BENCHES).length} benches. Made from the registry by \`npm run practicals\`; a test holds that it is true.`,
    '',
  ];
  for (const [subject, name] of Object.entries(SUBJECTS) as [Subject, string][]) {
    const own = all.filter((practical) => practical.subject === subject);
    if (own.length === 0) continue;
    lines.push(`## ${name}`, '');
    for (const [family, bench] of Object.entries(BENCHES)) {
      const here = own.filter((practical) => practical.labels(practical.setup.parse({})).family === family);
      if (here.length > 0) lines.push(`*At the bench: ${bench}.*`, '', ...here.flatMap(linesOf));
    }
  }
  return `${lines.join('\n').trimEnd()}\n`;
}
