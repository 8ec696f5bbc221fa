import { writeFileSync } from 'node:fs';
import { practicalsPage } from './page';

writeFileSync(new URL('../../docs/practicals.md', import.meta.url), practicalsPage());
console.log('wrote docs/practicals.md');
