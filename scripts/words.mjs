// npm run words: the words of every page on one sheet each, in .cache/words, to be read aloud.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { needChromium, needPostgres, say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { root, startStack } from './stack.mjs'

needPackages(root)
needPostgres()
const executablePath = needChromium()
const { chromium } = await import('@playwright/test')
const folder = join(root, '.cache', 'words')
rmSync(folder, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })

/** What is read and what is only heard: texts in their order, then the names of buttons and fields that show none. */
const wordsOfPage = () => {
  const names = [...document.querySelectorAll('[aria-label], [title], [placeholder]')]
    .flatMap((e) => ['aria-label', 'title', 'placeholder'].map((name) => e.getAttribute(name)))
    .filter((name) => name && !document.body.innerText.includes(name))
  return `${document.title}\n\n${document.body.innerText}\n\n— names —\n${[...new Set(names)].join('\n')}\n`
}

const stack = await startStack('look')
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-background-networking'] })
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 2400 } })
  const sheet = async (name, path) => {
    if (path) await page.goto(stack.url + path)
    await page.waitForLoadState('networkidle')
    await page.waitForTimeout(500)
    writeFileSync(join(folder, `${name}.txt`), await page.evaluate(wordsOfPage))
    say(`.cache/words/${name}.txt`)
  }
  await sheet('sign-in', '/sign-in')
  await sheet('sign-up', '/sign-up')
  await sheet('forgotten', '/forgotten')
  await page.goto(`${stack.url}/sign-in`)
  await page.getByLabel('E-mail').fill('marisol@island.example')
  await page.getByLabel('Password').fill('ferry-on-monday')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await page.getByRole('heading', { name: 'Sent home' }).waitFor()
  await sheet('desk')
  await page.getByRole('button', { name: 'Help' }).click()
  await sheet('help')
  await page.keyboard.press('Escape')
  for (const view of [
    'moves',
    'moves/squat',
    'moves/new',
    'tests',
    'classes',
    'terms',
    'bin',
    'settings',
    'account',
    'draft',
  ])
    await sheet(view.replace('/', '-'), `/${view}`)
  const follow = async (from, name, sheetName) => {
    await page.goto(stack.url + from)
    await page.getByRole('main').getByRole('link', { name }).first().click()
    await sheet(sheetName)
  }
  await follow('/tests', /./, 'test')
  await follow('/terms', /Autumn at home/, 'term')
  for (const tab of ['Coverage', 'Plan', 'Calendar', 'Details']) {
    const one = page.getByRole('tab', { name: new RegExp(tab) })
    if (await one.count()) {
      await one.first().click()
      await sheet(`term-${tab.toLowerCase()}`)
    }
  }
  await follow('/classes', /Gannets/, 'class')
  for (const tab of ['Tests over time', 'Pupils and codes', 'Class settings']) {
    await page.getByRole('tab', { name: tab }).click()
    await sheet(`class-${tab.split(' ')[0].toLowerCase()}`)
  }
  await follow('/', /Storm-day springs/, 'composer')
  for (const tab of ['Edit', 'Saved', 'Checks', 'Results']) {
    await page.getByRole('tab', { name: new RegExp(`^${tab}`) }).click()
    await sheet(`composer-${tab.toLowerCase()}`)
  }
  await page.getByRole('button', { name: 'Goals, groups, home' }).click()
  await sheet('composer-details')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Send home' }).click()
  await page.locator('a.address').waitFor()
  await sheet('send-home')
  const family = await page.locator('a.address').getAttribute('href')
  for (const [language, name] of [
    ['en', 'family'],
    ['es', 'family-es'],
  ]) {
    await page.goto(family)
    await page.getByRole('heading').first().waitFor()
    if (language === 'es') await page.getByText('Español').first().click()
    await sheet(name)
  }
} finally {
  await browser.close()
  await stack.stop()
}
