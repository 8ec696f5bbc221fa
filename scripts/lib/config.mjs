import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../..');

/** Where data live: FEN_DATA, or a folder of the project that git ignores. */
export const dataFolder = (fallback = '.fen') => path.resolve(ROOT, process.env.FEN_DATA ?? fallback);

export const HOST = process.env.HOST ?? '127.0.0.1';
export const PORT = Number(process.env.PORT ?? 4310);

/** A sentence for the person at the terminal; ends the program without a stack. */
export class Sentence extends Error {}
