import type { Knex } from 'knex'
import * as classPace from './classPace.ts'
import * as classes from './classes.ts'
import * as events from './events.ts'
import * as first from './first.ts'
import * as gone from './gone.ts'
import * as historyShelfSettings from './historyShelfSettings.ts'
import * as lateRuns from './lateRuns.ts'
import * as linkPurpose from './linkPurpose.ts'
import * as originals from './originals.ts'
import * as outlines from './outlines.ts'
import * as ownMoves from './ownMoves.ts'
import * as pupils from './pupils.ts'
import * as results from './results.ts'
import * as safeguards from './safeguards.ts'
import * as terms from './terms.ts'
import * as testHow from './testHow.ts'
import * as versionOrder from './versionOrder.ts'

/** Every migration, in order of application. Names never change; a migration that has run is never edited. */
export const migrations: readonly { name: string; migration: Knex.Migration }[] = [
  { name: '001-first', migration: first },
  { name: '002-history-shelf-settings', migration: historyShelfSettings },
  { name: '003-own-moves', migration: ownMoves },
  { name: '004-classes', migration: classes },
  { name: '005-late-runs', migration: lateRuns },
  { name: '006-outlines', migration: outlines },
  { name: '007-gone', migration: gone },
  { name: '008-link-purpose', migration: linkPurpose },
  { name: '009-version-order', migration: versionOrder },
  { name: '010-results', migration: results },
  { name: '011-originals', migration: originals },
  { name: '012-pupils', migration: pupils },
  { name: '013-test-how', migration: testHow },
  { name: '014-class-pace', migration: classPace },
  { name: '015-terms', migration: terms },
  { name: '016-events', migration: events },
  { name: '017-safeguards', migration: safeguards },
]
