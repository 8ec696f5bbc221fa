import { createCookie } from 'react-router';
import { isTokenOf, type Role } from '../secrets';
import { SESSION_DAYS } from '../sessions';

const kept = (days: number) => ({ httpOnly: true, sameSite: 'lax', path: '/', maxAge: days * 86_400 }) as const;

/** Two cookies, so that a teacher can be both sides of the door in one browser; one more for what browser it is. */
export const COOKIES = {
  teacher: createCookie('fen_teacher', kept(SESSION_DAYS)),
  student: createCookie('fen_student', kept(SESSION_DAYS)),
  device: createCookie('fen_device', kept(400)),
};

/** The token that a cookie header holds for a side of the door. */
export async function tokenIn(role: Role, header: string | null | undefined): Promise<string | undefined> {
  const value: unknown = await COOKIES[role].parse(header ?? null);
  // A token says whose it is, so that one side's is nothing under the other's name.
  return typeof value === 'string' && isTokenOf(role, value) ? value : undefined;
}
