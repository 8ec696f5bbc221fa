import { readdirSync, readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';

/** What the run page costs a browser, read off the build: all that it has to fetch before its bench can be worked at. */

const assets = new URL('../build/client/assets/', import.meta.url);
const read = (file: string) => readFileSync(new URL(file, assets), 'utf8');

interface Manifest {
  entry: { module: string; imports: string[] };
  routes: Record<string, { module: string; imports?: string[] }>;
}
const manifestFile = readdirSync(assets).find((file) => file.startsWith('manifest-')) ?? '';
const manifestText = read(manifestFile);
const manifest = JSON.parse(
  manifestText.slice(manifestText.indexOf('{'), manifestText.lastIndexOf('}') + 1),
) as Manifest;

/** A file with all that it imports before it can run. */
function whole(files: readonly string[], known = new Set<string>()): Set<string> {
  for (const file of files) {
    if (known.has(file)) continue;
    known.add(file);
    const imports = [...read(file).matchAll(/(?:from|import)\s*["']\.\/([\w.-]+\.js)["']/g)].map(
      (match) => match[1] ?? '',
    );
    whole(imports, known);
  }
  return known;
}

const nameOf = (address: string) => address.split('/').at(-1) ?? '';
const { entry, routes } = manifest;
const page = [entry.module, routes.root?.module ?? '', routes['routes/run']?.module ?? ''].map(nameOf);
const drawings = readdirSync(assets).filter((file) => /^drawing-.*\.js$/.test(file));
const size = (files: Iterable<string>) =>
  [...files].reduce((sum, file) => sum + gzipSync(read(file), { level: 9 }).length, 0) / 1000;

describe('the run page', () => {
  it('loads the drawing of no family but its own', () => {
    expect(drawings).toHaveLength(9);
    for (const file of drawings) expect(whole(page)).not.toContain(file);
  });

  it.each(drawings)('stays under 200 kB gzipped with %s, and holds no schemas', (drawing) => {
    const files = whole([...page, drawing]);
    expect(files.size).toBeGreaterThan(10);
    expect(size(files)).toBeGreaterThan(100);
    expect(size(files)).toBeLessThan(200);
    for (const file of files) expect(read(file), file).not.toContain('ZodError');
  });
});
