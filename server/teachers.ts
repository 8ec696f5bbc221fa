import { z } from 'zod';
import { brokenConstraint, maybeRow, pool } from './db';
import { hashSecret, matchesSecret } from './secrets';
import { cleanName, Refused } from './sentences';
import { countNewcomer, trying, type Trier } from './tries';

const emailSchema = z.email();

function cleanEmail(typed: string): string {
  const email = typed.trim().toLowerCase();
  if (!emailSchema.safeParse(email).success || email.length > 200) {
    throw new Refused('That does not look like an e-mail address.', 'email');
  }
  return email;
}

/** @returns the teacher's id. @throws Refused with the field at fault */
export async function signUpTeacher(
  name: string,
  typedEmail: string,
  password: string,
  address: string,
): Promise<string> {
  await countNewcomer(address);
  const cleaned = cleanName(name, 'your name', 'name');
  const email = cleanEmail(typedEmail);
  if (password.length < 10) throw new Refused('A password needs at least 10 characters.', 'password');
  if (password.length > 200) throw new Refused('A password can be at most 200 characters long.', 'password');
  const hashed = await hashSecret(password);
  try {
    const row = await maybeRow(
      pool(),
      z.object({ id: z.uuid() }),
      'insert into teachers (email, name, password_hash) values ($1, $2, $3) returning id',
      [email, cleaned, hashed],
    );
    return row?.id as string;
  } catch (error) {
    if (!brokenConstraint(error)) throw error;
    throw new Refused('There is an account with this e-mail address already. Sign in instead.', 'email');
  }
}

/** Spends as long on an unknown address as on a known one. */
let decoy: Promise<string> | undefined;

/** @throws Refused with the field at fault, or with how long to wait */
export async function signInTeacher(typedEmail: string, password: string, trier: Trier): Promise<string> {
  const email = cleanEmail(typedEmail);
  const id = await trying(email, trier, async () => {
    const row = await maybeRow(
      pool(),
      z.object({ id: z.uuid(), hashed: z.string() }),
      'select id, password_hash as hashed from teachers where email = $1',
      [email],
    );
    decoy ??= hashSecret('no such account');
    const right = await matchesSecret(row?.hashed ?? (await decoy), password.slice(0, 200));
    return right ? row?.id : undefined;
  });
  if (id === undefined) throw new Refused('E-mail address and password do not belong together.', 'password');
  return id;
}
