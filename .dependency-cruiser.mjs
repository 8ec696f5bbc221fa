/** What holds between files: nothing needs itself by a detour, and no part of the core knows of one that is built on it. */
const inCore = (parts) => `^core/(${parts})/`;

export default {
  forbidden: [
    {
      name: 'no-circle',
      comment: 'What a file needs, by value or by type, must not need it.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'science-below',
      comment: 'Chemistry, physics and analysis know of no instrument, notebook, report or practical.',
      severity: 'error',
      from: { path: inCore('chemistry|physics|analysis'), pathNot: '\\.test\\.ts$' },
      to: { path: inCore('instruments|notebook|report|practicals') },
    },
    {
      name: 'instruments-below',
      comment: 'Instruments and the data book know of no notebook, report or practical.',
      severity: 'error',
      from: { path: inCore('instruments|databook'), pathNot: '\\.test\\.ts$' },
      to: { path: inCore('notebook|report|practicals') },
    },
    {
      name: 'notebook-below',
      comment: 'The notebook and the report know of no practical.',
      severity: 'error',
      from: { path: inCore('notebook|report'), pathNot: '\\.test\\.ts$' },
      to: { path: inCore('practicals') },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js'], mainFields: ['module', 'main', 'types'] },
  },
};
