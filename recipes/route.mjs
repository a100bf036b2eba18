/** *A route*: what hour it is for a teacher. */
export const route = {
  title: 'a route',
  follow({ write, add, run, compile }) {
    write(
      'contract/src/hour.ts',
      `import { z } from 'zod'
import { endpoint } from './endpoint.ts'

export const hourEndpoints = {
  readHour: endpoint({
    method: 'GET',
    path: '/api/hour',
    access: 'teacher',
    answer: z.strictObject({ hour: z.int().min(0).max(23) }),
  }),
}
`,
    )
    add('contract/src/endpoints.ts', "from './handout.ts'", "import { hourEndpoints } from './hour.ts'")
    add('contract/src/endpoints.ts', '  typeof handoutEndpoints &', '  typeof hourEndpoints &')
    add('contract/src/endpoints.ts', '  ...handoutEndpoints,', '  ...hourEndpoints,')
    add('server/floors.js', /^ {2}\['events', /, "  ['hour', 'what hour it is'],")
    write(
      'server/src/hour/routes.ts',
      `import type { Router } from 'express'
import { implement } from '../http/implement.ts'

/** What hour it is. */
export function hourRoutes(router: Router): void {
  implement(router, 'readHour', async () => ({ hour: new Date().getUTCHours() }))
}
`,
    )
    add('server/src/app.ts', "from './events/routes.ts'", "import { hourRoutes } from './hour/routes.ts'")
    add('server/src/app.ts', '  eventRoutes(', '  hourRoutes(app)')
    add(
      'server/test/accessMatrix.test.ts',
      /^ {2}listEvents: /,
      '  readHour: { anonymous: 401, family: 401, ended: 401, other: 200, own: 200 },',
    )
    compile()
    run('oxlint', '-c', 'oxlint.config.js', 'server/src', 'contract/src')
    run('vitest', 'run', '--project', 'server', 'server/test/accessMatrix.test.ts', '-t', 'readHour|every route')
  },
}
