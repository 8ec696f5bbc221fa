import { chromium } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { LAUNCH } from '../scripts/lib/chromium.mjs';
const people = JSON.parse(readFileSync('scripts/demo/people.json', 'utf8'));
export const browser = await chromium.launch(LAUNCH);
export async function tryIt(title, size = { width: 1280, height: 800 }) {
  const page = await (await browser.newContext({ viewport: size, baseURL: 'http://127.0.0.1:4320' })).newPage();
  const alive = () => page.waitForSelector('body[data-alive]');
  await page.goto('/prep/sign-in'); await alive();
  await page.getByLabel('E-mail address').fill(people.teacher.email);
  await page.getByLabel('Password').fill(people.teacher.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/prep$/);
  await page.getByRole('link', { name: 'Chemistry 5A' }).click();
  await page.getByRole('link', { name: `Set: ${title}` }).click();
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.getByTestId('bench').waitFor();
  await page.waitForLoadState('networkidle'); await alive();
  const pick = (thing) => page.locator(`[data-thing="${thing}"]`).first().focus();
  const verb = async (name, wait = 500) => { await page.getByTestId('verbs').getByRole('button', { name, exact: typeof name === 'string' }).first().click(); await page.waitForTimeout(wait); };
  const amount = async (field, text) => { await page.getByLabel(field).fill(text); await page.getByLabel(field).press('Enter'); await page.waitForTimeout(500); };
  return { page, pick, verb, amount };
}
