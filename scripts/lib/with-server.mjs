import { dataFolder, Sentence } from './config.mjs';
import { startPostgres } from './postgres.mjs';

/**
 * Does something with the database of this Fen: the one that DATABASE_URL names, or the one in the data folder, which is
 * started for it unless it runs already. What went wrong is said in a sentence.
 */
export async function withServer(work) {
  let database;
  try {
    const named = process.env.DATABASE_URL;
    database = named ? { url: named, found: true } : await startPostgres(dataFolder());
    await work(database.url);
  } catch (error) {
    console.error(error instanceof Sentence ? error.message : error);
    process.exitCode = 1;
  } finally {
    if (database && !database.found) await database.stop();
  }
}
