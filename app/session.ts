import { createCookie, data, redirect } from 'react-router';
import { z } from 'zod';
import { cleanText, readJson } from '@core/json';
import { COOKIES, tokenIn } from '@server/http/session-cookies';
import { tokenHash, type Role } from '@server/secrets';
import { Busy } from '@server/folding';
import { knowDevice, type Trier } from '@server/tries';
import { NotFound, Refused } from '@server/sentences';
import { closeSession, openSession, studentOf, teacherOf } from '@server/sessions';

const tokenFor = (role: Role, request: Request) => tokenIn(role, request.headers.get('cookie'));

/** Hashes of all session tokens that came with a request. */
export async function tokensOf(request: Request): Promise<Buffer[]> {
  const tokens = await Promise.all([tokenFor('student', request), tokenFor('teacher', request)]);
  return tokens.filter((token) => token !== undefined).map(tokenHash);
}

export async function teacherIn(request: Request) {
  const token = await tokenFor('teacher', request);
  return token ? teacherOf(token) : undefined;
}

export async function studentIn(request: Request) {
  const token = await tokenFor('student', request);
  return token ? studentOf(token) : undefined;
}

/** The signed-in teacher; everyone else is shown the door, a student with 403. */
export async function requireTeacher(request: Request) {
  const teacher = await teacherIn(request);
  if (teacher) return teacher;
  if (await studentIn(request)) throw data('The prep room is for teachers.', { status: 403 });
  throw redirect(`/prep/sign-in?to=${encodeURIComponent(new URL(request.url).pathname)}`);
}

export async function requireStudent(request: Request) {
  const student = await studentIn(request);
  if (!student) throw redirect((await tokenFor('student', request)) ? '/return?gone=1' : '/return');
  return student;
}

/**
 * Opens a session, ending the one of the same role before it, and gives the headers that keep it and let this browser be
 * known to the account.
 */
export async function signedIn(
  request: Request,
  who: { teacherId: string } | { studentId: string },
  account: string,
  secure: boolean,
): Promise<Headers> {
  const role = 'teacherId' in who ? 'teacher' : 'student';
  const before = await tokenFor(role, request);
  if (before) await closeSession(before);
  const headers = new Headers();
  headers.append('Set-Cookie', await COOKIES[role].serialize(await openSession(who), { secure }));
  const device = await knowDevice(account, await tokenFor('device', request));
  headers.append('Set-Cookie', await COOKIES.device.serialize(device, { secure }));
  return headers;
}

/** Who tries to sign in, for counting wrong tries. */
export const trierOf = async (request: Request, address: string): Promise<Trier> => ({
  address,
  device: await tokenFor('device', request),
});

/** The words that bring a new student back, until they say that they have written them down. */
const newWords = createCookie('fen_new_words', {
  httpOnly: true,
  sameSite: 'lax',
  path: '/',
  maxAge: 86_400,
});
const newWordsSchema = z.object({ studentId: z.uuid(), words: z.string().max(100) });

export const wordsToShow = (studentId: string, words: string, secure: boolean): Promise<string> =>
  newWords.serialize({ studentId, words }, { secure });
export const wordsWritten = (): Promise<string> => newWords.serialize('', { maxAge: 0 });

/** The return words that this browser still has to show to the student who is signed in here. */
export async function wordsShown(request: Request): Promise<string | undefined> {
  const kept = newWordsSchema.safeParse(await newWords.parse(request.headers.get('cookie')));
  const student = kept.success ? await studentIn(request) : undefined;
  return kept.success && kept.data.studentId === student?.id ? kept.data.words : undefined;
}

export async function signedOut(request: Request, role: 'teacher' | 'student'): Promise<string> {
  const token = await tokenFor(role, request);
  if (token) await closeSession(token);
  return COOKIES[role].serialize('', { maxAge: 0 });
}

/** Only ways into Fen itself, of letters that an address can have. */
export function safeWay(to: string | null, otherwise: string): string {
  return to && /^\/[a-z][\w./?=&%-]*$/.test(to) ? to : otherwise;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** An id from an address. @throws a 404 when it cannot be one */
export function idIn(param: string | undefined): string {
  if (!param || !UUID.test(param)) throw data(null, { status: 404 });
  return param;
}

/** The place of a sample in its assignment, from a form or an address; null, the first, when nothing is said. @throws a 404 */
export function placeIn(text: string | null): number | null {
  if (!text) return null;
  const place = Number(text);
  if (!Number.isInteger(place) || place < 1 || place > 99) throw data(null, { status: 404 });
  return place;
}

/** Runs a loader's work; what is not there, or not for this person, becomes a 404, and what cannot be shown any more a sentence. */
export async function found<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (error instanceof NotFound) throw data(null, { status: 404 });
    if (error instanceof Refused) throw data(error.message, { status: 410 });
    if (error instanceof Busy) throw data(error.message, { status: 503 });
    throw error;
  }
}

export interface Mistake {
  sentence: string;
  field: string;
  /** Where several things are wrong: all of them, this one first. */
  all?: readonly { field: string; sentence: string }[];
}

/** Runs an action's work; a refusal comes back as a sentence with status 422, for the form to show. */
export async function tried<T>(work: () => Promise<T>) {
  try {
    return await work();
  } catch (error) {
    if (error instanceof NotFound) throw data(null, { status: 404 });
    if (error instanceof Refused) {
      const mistake: Mistake = {
        sentence: error.message,
        field: error.field,
        ...(error.all.length > 1 ? { all: error.all } : {}),
      };
      return data({ mistake }, { status: 422 });
    }
    if (error instanceof Busy)
      return data({ mistake: { sentence: error.message, field: 'form' } satisfies Mistake }, { status: 503 });
    throw error;
  }
}

/** What was posted as JSON. @throws a 400 for what is none, or is deeper than anything that Fen sends */
export async function jsonIn(request: Request): Promise<unknown> {
  const read = readJson(await request.text());
  if (read === undefined) throw data({ mistake: NOT_UNDERSTOOD }, { status: 400 });
  return read;
}

export const NOT_UNDERSTOOD: Mistake = {
  sentence: 'Fen did not understand what was sent. Load the page again.',
  field: 'form',
};

/** A posted form, its texts fit to be kept. @throws a 400 for what is none */
export async function formIn(request: Request): Promise<FormData> {
  const form = await request.formData().catch(() => {
    throw data(NOT_UNDERSTOOD.sentence, { status: 400 });
  });
  const clean = new FormData();
  for (const [name, value] of form) if (typeof value === 'string') clean.append(name, cleanText(value));
  return clean;
}

/** Text fields of a posted form; absent ones are empty. */
export async function fieldsOf(request: Request): Promise<(name: string) => string> {
  const form = await formIn(request);
  return (name) => {
    const value = form.get(name);
    return typeof value === 'string' ? value : '';
  };
}
