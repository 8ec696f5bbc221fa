export const CHROMIUM: string;
export const LAUNCH: { executablePath: string; args: string[] };
export function ensureChromium(): void;
