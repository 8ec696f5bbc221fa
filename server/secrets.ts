import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes, randomInt } from 'node:crypto';
import { RETURN_WORDS } from './return-words';

/** Argon2id, the library's default kind, with 19 MiB and two passes: what a school's machine bears thirty times at once. */
const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashSecret = (secret: string) => hash(secret, ARGON);
export const matchesSecret = (hashed: string, secret: string) => verify(hashed, secret);

/** Whom a token in a cookie is for: a side that is signed in, or a browser that has been. */
export type Role = 'teacher' | 'student' | 'device';

/** 256 bits that a cookie carries behind the role they are for; the database keeps only a hash. */
export const newToken = (role: Role) => `${role}.${randomBytes(32).toString('base64url')}`;
export const isTokenOf = (role: Role, token: string) => token.startsWith(`${role}.`);
export const tokenHash = (token: string) => createHash('sha256').update(token).digest();

/** A seed that nobody guesses. */
export const newSeed = () => randomBytes(16).toString('hex');

/** Letters and digits that are not taken for one another. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

export function newClassCode(): string {
  return Array.from({ length: 6 }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
}

/** A number for a sample bottle that says nothing about it. */
export const newSampleNumber = () => `${randomInt(1000, 10_000)}`;

export function newReturnWords(): string {
  return Array.from({ length: 3 }, () => RETURN_WORDS[randomInt(RETURN_WORDS.length)]).join(' ');
}

/** Return words however they are typed: case, hyphens and spaces do not matter. */
export const plainWords = (words: string) =>
  words
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter(Boolean)
    .join(' ');
