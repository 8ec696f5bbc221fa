import { randomUUID } from 'node:crypto';

export interface ActReply {
  status: number;
  body: {
    number: number;
    view: { timeS: number; levelMl: number; trial: number };
    refusal?: string;
    conflict?: boolean;
    mistake?: { sentence: string };
  };
}

/** Something for each question that the first practical comes with. */
const WHOLE_REPORT: Record<string, { text: string; unit?: string }> = {
  measured: { text: 'The volume of titrant that just reacts with the sample' },
  hypothesis: { text: 'About as concentrated' },
  concentration: { text: '0.2', unit: 'mol/L' },
  working: { text: 'n = c V and so on' },
  claim: { text: 'It is about as concentrated as I thought.' },
  reasoning: { text: 'The titre of the two trials agreed well, so the mean can be trusted here.' },
  aim: { text: 'Catch an end point to a drop' },
  aimWhy: { text: 'It stayed pink after one drop, twice.' },
};

/** The sentences that a page shows as wrong. */
export const alertsIn = (html: string): string =>
  [...html.matchAll(/role="alert"[^>]*>([^<]*)</g)].map((match) => match[1]).join(' ');

/** Somebody with a cookie jar who speaks HTTP to the real app. */
export class Visitor {
  private readonly cookies = new Map<string, string>();
  constructor(
    readonly base: string,
    private readonly headers: Record<string, string> = {},
  ) {}

  /** What this browser would send: for requests that fetch does not make. */
  cookie(): string {
    return [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
  }

  async fetch(path: string, init: RequestInit = {}): Promise<Response> {
    const cookie = this.cookie();
    const response = await fetch(this.base + path, {
      ...init,
      redirect: 'manual',
      headers: { ...this.headers, cookie, ...init.headers },
    });
    for (const line of response.headers.getSetCookie()) {
      const [, name = '', value = ''] = /^([^=]+)=([^;]*)/.exec(line) ?? [];
      this.cookies.set(name, value);
    }
    return response;
  }

  post(path: string, fields: Record<string, string>): Promise<Response> {
    return this.fetch(path, { method: 'POST', body: new URLSearchParams(fields) });
  }

  postJson(path: string, body: unknown): Promise<Response> {
    return this.fetch(path, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json' },
    });
  }

  async act(runId: string, number: number, act: unknown, atS = 0, actId = randomUUID()): Promise<ActReply> {
    const response = await this.postJson(`/runs/${runId}/acts`, { number, actId, atS, act });
    // An answer that was cut off is no answer: json() rejects, as for a browser.
    const body = response.ok ? response.json() : response.json().catch(() => ({}));
    return { status: response.status, body: (await body) as ActReply['body'] };
  }

  /** Edits of the notebook, as the page sends them. */
  edit(runId: string, edits: unknown[], after = 0, ids: string[] = []): Promise<Response> {
    const sent = edits.map((edit, i) => ({ id: ids[i] ?? randomUUID(), edit }));
    return this.postJson(`/runs/${runId}/notebook`, { after, edits: sent });
  }

  /** Answers put into the report, over those that make it whole. */
  answer(runId: string, answers: Record<string, { text: string; unit?: string }> = {}): Promise<Response> {
    const all = Object.entries({ ...WHOLE_REPORT, ...answers });
    return this.edit(
      runId,
      all.map(([key, answer]) => ({ kind: 'answer', key, answer, was: '' })),
    );
  }

  private readonly handedIn = new Map<string, number>();

  /** @param number one more than the hand-ins that the page knows of; the next one unless given */
  async handIn(runId: string, number?: number, id: string = randomUUID()): Promise<Response> {
    const next = number ?? 1 + (this.handedIn.get(runId) ?? 0);
    const response = await this.postJson(`/runs/${runId}.data`, { do: 'hand in', id, number: next });
    if (response.status === 200) this.handedIn.set(runId, next);
    return response;
  }

  async signUp(email = `${randomUUID()}@example.org`): Promise<void> {
    const response = await this.post('/prep/sign-up', {
      name: 'Test Teacher',
      email,
      password: 'a long password',
    });
    if (response.status !== 302) throw new Error(`sign-up gave ${response.status}`);
  }

  /** @returns the class's id and code */
  async makeClass(name: string): Promise<{ id: string; code: string }> {
    const made = await this.post('/prep', { name, timeZone: 'Europe/Berlin' });
    const id = made.headers.get('location')?.split('/').at(-1) ?? '';
    const page = await (await this.fetch(`/prep/classes/${id}`)).text();
    return { id, code: /font-mono text-xl">([A-Z0-9]{6})</.exec(page)?.[1] ?? '' };
  }

  /** Sets the first practical with its defaults, but for what is given. @returns the assignment's id */
  async setPractical(classId: string, fields: Record<string, string> = {}): Promise<string> {
    const form = new URLSearchParams({
      fromMolPerL: '0.08',
      toMolPerL: '0.12',
      titrant: 'sodium-hydroxide',
      titrantMolPerL: '0.1',
      pipetteMl: '25',
      dilution: 'none',
      probe: 'none',
      unit: 'mol/L',
      bandsPercent: '0.5; 1; 3',
      activities: 'on',
      handIns: '3',
      tellBand: 'on',
      tellInfluences: 'never',
      method: 'shown',
      do: 'set',
      ...fields,
    });
    for (const acid of ['hydrochloric-acid', 'acetic-acid']) form.append('acids', acid);
    for (const indicator of ['phenolphthalein', 'methyl-orange']) form.append('indicators', indicator);
    const response = await this.fetch(`/prep/classes/${classId}/set/acid-concentration`, {
      method: 'POST',
      body: form,
    });
    if (response.status !== 302) throw new Error(`setting gave ${response.status}: ${alertsIn(await response.text())}`);
    return response.headers.get('location')?.split('/').at(-1) ?? '';
  }

  async join(code: string, name: string): Promise<Response> {
    const joined = await this.post('/join', { code, name });
    // Who was let in reads the words on the page that follows.
    return joined.status === 302 ? this.fetch('/join') : joined;
  }

  /** @returns the run's id */
  async start(assignmentId: string): Promise<string> {
    const response = await this.post('/work', { assignment: assignmentId });
    return response.headers.get('location')?.split('/').at(-1) ?? '';
  }
}

/** A teacher with a class and an assignment, and a student who has begun. */
export async function scene(base: string, fields: Record<string, string> = {}) {
  const teacher = new Visitor(base);
  await teacher.signUp();
  const { id: classId, code } = await teacher.makeClass('Test class');
  const assignmentId = await teacher.setPractical(classId, fields);
  const student = new Visitor(base);
  await student.join(code, 'Sam Sedge');
  const runId = await student.start(assignmentId);
  return { teacher, classId, code, assignmentId, student, runId };
}
