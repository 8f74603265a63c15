import { request } from '@playwright/test'
import type { TestStudio } from './studio'
import { serverToday } from '../../server/clock'

/** A client's first rotation sent, a link made, and the session of that name on it. */
export async function newSheetSession(
  studio: TestStudio,
  who: string,
  session: string,
): Promise<{
  readonly client: string
  readonly token: string
  readonly session: string
  readonly key: string
}> {
  const asking = await request.newContext({ baseURL: process.env.BASE_URL! })
  await asking.post('/api/sign-in', { data: { email: studio.email, password: studio.password } })
  const { id: client, blockId, plan } = studio.client(who)
  // The rotation that has today in it, so that its sessions are on the sheet.
  const today = serverToday()
  const days = (Date.parse(today) - Date.parse(plan.startsOn)) / 86_400_000
  const pass = Math.max(0, Math.min(plan.passes - 1, Math.floor(days / plan.rotation.days.length)))
  for (const at of [pass, pass + 1].filter(at => at < plan.passes)) {
    const sent = await asking.post(`/api/blocks/${blockId}/send`, {
      data: { pass: at, version: 1, again: false },
    })
    if (!sent.ok()) throw new Error(`not sent: ${await sent.text()}`)
  }
  const { token } = (await (
    await asking.post(`/api/clients/${client}/link`, { data: { pin: null, days: null } })
  ).json()) as { token: string }
  const { key } = (await (
    await asking.post('/api/sheet/open', { data: { token, pin: null } })
  ).json()) as { key: string }
  const sheet = (await (
    await asking.get('/api/sheet', { headers: { authorization: `Sheet ${key}`, 'x-today': today } })
  ).json()) as { sessions: { session: { id: string; name: string; on: string } }[] }
  const found = sheet.sessions.find(
    held => held.session.name === session && held.session.on >= today,
  )
  if (!found)
    throw new Error(
      `no ${session} on the sheet: ${sheet.sessions.map(held => `${held.session.on} ${held.session.name}`).join(', ')}`,
    )
  await asking.dispose()
  return { client, token, session: found.session.id, key }
}
