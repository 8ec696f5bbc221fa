import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** An act that has a number and waits to be acknowledged. */
export interface WaitingAct {
  runId: string;
  number: number;
  actId: string;
  atS: number;
  act: unknown;
  /** Set when something else was done first: it waits until the person says whether it is still wanted. */
  held?: true;
}

/** An edit of the notebook that waits to be kept. */
export interface WaitingEdit {
  runId: string;
  number: number;
  editId: string;
  edit: unknown;
}

/** A bench as a page saw it last: for a page that is opened without a network. */
interface KeptBench {
  runId: string;
  number: number;
  view: unknown;
}

interface OutboxSchema extends DBSchema {
  benches: { key: string; value: KeptBench };
  acts: { key: string; value: WaitingAct; indexes: { run: string } };
  edits: { key: string; value: WaitingEdit; indexes: { run: string } };
}

/** Where acts or edits wait: the browser's own database, so that a closed lid loses nothing; memory where there is none. */
export interface Outbox<T = WaitingAct> {
  /** In the order of their numbers. */
  waiting(runId: string): Promise<T[]>;
  put(item: T): Promise<void>;
  remove(ids: string[]): Promise<void>;
  /** The bench as it was seen last, where this outbox keeps it. */
  keepBench?(bench: KeptBench): Promise<void>;
  benchOf?(runId: string): Promise<KeptBench | undefined>;
}

const inOrder = <T extends { number: number }>(items: T[]) => items.sort((a, b) => a.number - b.number);

function memoryOutbox<T extends { runId: string; number: number }>(idOf: (item: T) => string): Outbox<T> {
  const items = new Map<string, T>();
  return {
    waiting: async (runId) => inOrder([...items.values()].filter((item) => item.runId === runId)),
    put: async (item) => void items.set(idOf(item), item),
    remove: async (ids) => ids.forEach((id) => items.delete(id)),
  };
}

async function removeAll(db: IDBPDatabase<OutboxSchema>, store: 'acts' | 'edits', ids: string[]) {
  const work = db.transaction(store, 'readwrite');
  await Promise.all([...ids.map((id) => work.store.delete(id)), work.done]);
}

function openBrowserDatabase(): Promise<IDBPDatabase<OutboxSchema>> {
  return openDB<OutboxSchema>('fen', 3, {
    upgrade(db, before) {
      if (before < 1) db.createObjectStore('acts', { keyPath: 'actId' }).createIndex('run', 'runId');
      if (before < 2) db.createObjectStore('edits', { keyPath: 'editId' }).createIndex('run', 'runId');
      if (before < 3) db.createObjectStore('benches', { keyPath: 'runId' });
    },
    // A newer page waits for this one to let go.
    blocking: (_old, _next, event) => (event.target as IDBDatabase).close(),
  });
}

/** The browser's outbox of acts; a browser that forbids storage gets one that lasts as long as the page. */
export async function openOutbox(): Promise<Outbox> {
  try {
    const db = await openBrowserDatabase();
    return {
      waiting: async (runId) => inOrder(await db.getAllFromIndex('acts', 'run', runId)),
      put: async (act) => void (await db.put('acts', act)),
      remove: (ids) => removeAll(db, 'acts', ids),
      keepBench: async (bench) => void (await db.put('benches', bench)),
      benchOf: (runId) => db.get('benches', runId),
    };
  } catch {
    return memoryOutbox((act) => act.actId);
  }
}

/** The same for edits of the notebook. */
export async function openEditOutbox(): Promise<Outbox<WaitingEdit>> {
  try {
    const db = await openBrowserDatabase();
    return {
      waiting: async (runId) => inOrder(await db.getAllFromIndex('edits', 'run', runId)),
      put: async (edit) => void (await db.put('edits', edit)),
      remove: (ids) => removeAll(db, 'edits', ids),
    };
  } catch {
    return memoryOutbox((edit) => edit.editId);
  }
}
