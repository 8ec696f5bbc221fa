import { index, prefix, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  index('routes/home.tsx'),
  route('join', 'routes/join.tsx'),
  route('return', 'routes/return.tsx'),
  route('leave', 'routes/leave.ts'),
  route('work', 'routes/work.tsx'),
  route('data-book/:part?', 'routes/data-book.tsx'),
  route('words', 'routes/words.tsx'),
  ...prefix('runs/:runId', [
    index('routes/run.tsx'),
    route('acts', 'routes/run-acts.ts'),
    route('notebook', 'routes/run-notebook.ts'),
    route('moment', 'routes/run-moment.ts'),
    route('film', 'routes/run-film.ts'),
    route('shown', 'routes/run-shown.ts'),
    route('print', 'routes/run-print.tsx'),
    route('pooled', 'routes/run-pooled.tsx'),
  ]),
  ...prefix('prep', [
    index('routes/prep/classes.tsx'),
    route('feed', 'routes/prep/feed.ts'),
    route('sign-in', 'routes/prep/sign-in.tsx'),
    route('sign-up', 'routes/prep/sign-up.tsx'),
    route('classes/:classId', 'routes/prep/class.tsx'),
    route('classes/:classId/set/:practical', 'routes/prep/set.tsx'),
    route('assignments/:assignmentId', 'routes/prep/assignment.tsx'),
    route('assignments/:assignmentId/settings', 'routes/prep/settings.tsx'),
    route('assignments/:assignmentId/report', 'routes/prep/compose.tsx'),
    route('assignments/:assignmentId/pooled', 'routes/prep/pooled.tsx'),
    route('runs/:runId', 'routes/prep/look.tsx'),
  ]),
] satisfies RouteConfig;
