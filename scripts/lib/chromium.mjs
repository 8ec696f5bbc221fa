import { existsSync } from 'node:fs';
import { ensureDebianPackage } from './install.mjs';

export const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium, kept off the network but for the pages it is given. */
export const LAUNCH = {
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export const ensureChromium = () => ensureDebianPackage('chromium', () => existsSync(CHROMIUM));
