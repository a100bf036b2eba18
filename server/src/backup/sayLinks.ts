import type { NewLink } from './rekeyLinks.ts'

/** Reports dead links and their replacements. @param why start of the line: "the backup was made under another secret" */
export function sayLinks(links: readonly NewLink[], pagesAt: string, why: string): void {
  console.log("· pupils' codes are others too: print their slips again")
  console.log(`· ${why}: ${links.length} links that were handed out are dead. Hand out these:`)
  for (const { title, teacher, token } of links) console.log(`    ${teacher}  ${title}  ${pagesAt}/go/${token}`)
}
