import { expect, it } from 'vitest'
import { z } from 'zod'
import { endpoints, type EndpointName } from '@esfuerzo/contract'

/**
 * No page may overwrite what another has saved since: a route that replaces something takes the revision it started from, or only the
 * changed fields, or a single value.
 */
type Manner = 'revision' | 'changed fields' | 'one value' | 'each cell by what stood there'

function mannerOf(body: z.ZodType): Manner | undefined {
  if (!(body instanceof z.ZodObject)) return undefined
  const fields = Object.entries(body.shape as Record<string, z.ZodType>)
  if (fields.some(([name]) => name === 'revision')) return 'revision'
  if (fields.every(([, schema]) => schema.safeParse(undefined).success)) return 'changed fields'
  const [first] = fields
  if (fields.length === 1 && first && !(first[1] instanceof z.ZodArray)) return 'one value'
  return 'cells' in body.shape ? 'each cell by what stood there' : undefined
}

it('every route that replaces something states the revision it replaces', () => {
  const replacing = (Object.keys(endpoints) as EndpointName[]).filter((name) => endpoints[name].method === 'PUT')
  const manners = Object.fromEntries(replacing.map((name) => [name, mannerOf(endpoints[name].body)]))
  expect(manners).toEqual({
    saveSession: 'revision',
    saveTerm: 'revision',
    saveSettings: 'changed fields',
    saveClass: 'changed fields',
    savePupil: 'changed fields',
    writeBook: 'each cell by what stood there',
    nameRevision: 'one value',
    renamePart: 'one value',
    rename: 'one value',
    moveRun: 'one value',
  })
  // A file of exercises replaces those with the same id, checked by the revision each change started from.
  expect(Object.keys((endpoints.keepOwnMoves.query as z.ZodObject).shape)).toEqual(['over'])
})

it('no other route overwrites an existing document', () => {
  const posts = (Object.keys(endpoints) as EndpointName[]).filter(
    (name) => endpoints[name].method === 'POST' && endpoints[name].access === 'teacher',
  )
  // Each of these creates something, or does one thing to it.
  expect(posts.sort()).toEqual(
    [
      'addClass',
      'addPupils',
      'changePassword',
      'createTerm',
      'createSession',
      'deleteAccount',
      'endPublication',
      'keepOwnMoves',
      'keepPart',
      'keepTermRevision',
      'keepRevision',
      'makeTermLink',
      'messageFamilies',
      'messageTermFamilies',
      'publishSession',
      'renewCode',
      'restoreClass',
      'restorePupil',
      'restoreTerm',
      'restoreSession',
      'sendCopy',
    ].sort(),
  )
})
