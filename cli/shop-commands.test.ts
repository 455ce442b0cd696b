import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { OPEN_SHOP } from '@/server/action/caller'
import { writeEntry } from '@/server/action/journal'
import { openDatabase } from '@/server/db/connection'
import { readJournal } from '@/server/journal/journal-store'
import { accountNamed, addAccount, hashedSecrets } from '@/server/staff/accounts'
import { isSecret } from '@/server/staff/hashed'
import { beginSession, sessionOf } from '@/server/staff/sessions'
import { runShopCommand } from './shop-commands'
import { isShopCommand, type ShopCommand } from './shop-usage'

let home: string
let data: string
beforeEach(async () => {
  home = mkdtempSync(path.join(tmpdir(), 'fern-yard-cli-'))
  data = path.join(home, 'data')
})
afterEach(() => rmSync(home, { recursive: true, force: true }))

const AT = instantOrThrow('2027-01-13T10:20:00Z')

async function shop() {
  mkdirSync(data)
  const db = await openDatabase(path.join(data, 'fern-yard.db'))
  for (const key of ['first-entry', 'second-entry'])
    await writeEntry(db, {
      key,
      action: 'stock.order',
      caller: OPEN_SHOP,
      at: AT,
      input: { key },
      answer: { ok: true, value: null },
      secret: false,
    })
  return db
}
const run = async (name: ShopCommand, ...args: string[]) => {
  const said = await runShopCommand(name, args)
  return { ...said, json: said.stdout ? JSON.parse(said.stdout) : undefined }
}

test('a shop is backed up, tried and restored over what stood there', async () => {
  await (await shop()).destroy()
  const { status, json } = await run('backup', '--data', data)
  expect(status).toBe(0)
  expect(path.dirname(json.file)).toBe(`${data}-backups`)
  expect((await run('restore', json.file, '--data', data, '--rehearse')).json).toMatchObject({ whole: true })
  const restored = await run('restore', json.file, '--data', data)
  expect(restored.json).toMatchObject({ restored: data, rows: { action_journal: 2 } })
  expect(readdirSync(restored.json.stoodBefore)).toContain('fern-yard.db')
  expect((await run('journal', '--data', data)).json).toMatchObject({ entries: 2 })
})

test('with a passphrase from a file, and not without', async () => {
  await (await shop()).destroy()
  const secret = path.join(home, 'secret')
  writeFileSync(secret, 'gulls on a wet roof\n')
  const { json } = await run('backup', '--data', data, '--passphrase-file', secret)
  const without = await run('restore', json.file, '--data', data)
  expect(without.status).toBe(2)
  expect(without.stderr).toContain('--passphrase-file')
  expect((await run('restore', json.file, '--data', data, '--passphrase-file', secret)).status).toBe(0)
})

test('as the shop does by itself: where the settings say, and encrypted where they say so', async () => {
  await (await shop()).destroy()
  const secret = path.join(home, 'secret')
  writeFileSync(secret, 'gulls on a wet roof\n')
  vi.stubEnv('FERN_YARD_BACKUPS', 'by-hand')
  vi.stubEnv('FERN_YARD_BACKUP_PASSPHRASE_FILE', secret)
  const { json } = await run('backup', '--data', data)
  expect(json.file).toMatch(new RegExp(`^${data}-backups/.+\\.age$`))
  expect((await run('restore', json.file, '--data', data, '--rehearse')).json).toMatchObject({ whole: true })
  expect((await run('owner', 'Rowan', '--data', data)).stderr).toContain(
    'the file that holds the new passphrase',
  )
  vi.stubEnv('FERN_YARD_BACKUP_PASSPHRASE_FILE', path.join(home, 'nothing'))
  expect(await run('backup', '--data', data)).toMatchObject({ status: 2, json: undefined })
  vi.unstubAllEnvs()
})

test('an altered journal is told with 1, and where', async () => {
  const db = await shop()
  await db('action_journal').where({ position: 1 }).update({ action: 'stock.end-order' })
  await db.destroy()
  expect(await run('journal', '--data', data)).toMatchObject({
    status: 1,
    json: { broken: { position: 1, why: 'changed' } },
  })
})

test('an owner who forgot the passphrase gets a new one at the machine, and is signed out elsewhere', async () => {
  const secret = path.join(home, 'secret')
  const called = (name: string, passphrase: string) => {
    writeFileSync(secret, `${passphrase}\n`)
    return run('owner', name, '--data', data, '--passphrase-file', secret)
  }
  const db = await shop()
  expect((await called('Rowan', 'five gulls on a wet roof')).stderr).toContain('nobody is set up as owner')
  const id = await addAccount(db, { name: 'Rowan', role: 'owner' }, AT)
  await db('accounts')
    .where({ id })
    .update(await hashedSecrets({ passphrase: 'forgotten long ago, all of it' }))
  await addAccount(db, { name: 'Una', role: 'manager' }, AT)
  const token = await beginSession(db, { account: id, browser: 'test' }, AT)
  expect((await called('Una', 'five gulls on a wet roof')).stderr).toContain('Owners here: Rowan')
  expect((await called('Rowan', 'short')).stderr).toContain('at least')
  expect(await sessionOf(db, token, AT)).toBeDefined()
  expect((await called(' rowan', 'five gulls on a wet roof')).json).toEqual({
    owner: 'Rowan',
    signedOutElsewhere: true,
  })
  expect((await sessionOf(db, token, AT))?.state).not.toBe('open')
  const kept = (await accountNamed(db, 'Rowan'))!
  expect(await isSecret('five gulls on a wet roof', kept.passphrase)).toBe(true)
  expect((await readJournal(db, {}, 1))[0]).toMatchObject({ action: 'staff.recover' })
  expect((await run('owner', '--data', data)).status).toBe(2)
  await db.destroy()
})

test('bad input is said in words and leaves with 2', async () => {
  for (const [args, words] of [
    [['backup', '--data', data], 'there is no shop in this folder'],
    [['restore', '--data', data], 'name the backup'],
    [['restore', path.join(home, 'nothing'), '--data', data], 'there is no such file'],
    [['backup', '--datum', data], 'datum'],
  ] as const) {
    const [name, ...rest] = args
    const { status, stderr } = await run(name, ...rest)
    expect(status).toBe(2)
    expect(stderr).toContain(words)
  }
  await (await shop()).destroy()
  writeFileSync(path.join(data, 'served.lock'), String(process.ppid))
  const { json } = await run('backup', '--data', data)
  expect((await run('restore', json.file, '--data', data)).stderr).toContain('Stop it first')
})

test('no other word is a command of a shop', () => {
  for (const word of ['schedule', '__proto__', 'constructor', '', undefined])
    expect(isShopCommand(word)).toBe(false)
})
