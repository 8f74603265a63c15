import { describe, expect, test } from '@jest/globals'
import { z } from 'zod'
import { frameworkWith } from '~/testing/framework'

const Body = z.strictObject({
  name: z.string().min(1, 'needs a name'),
  sets: z.array(z.number().max(20, 'may be 20 at most')),
})
const Answer = z.object({ id: z.string() })

async function form(answer: unknown) {
  const asked = frameworkWith(() => answer)
  const { useSubmission } = await import('./useSubmission')
  return { asked, of: useSubmission({ path: () => '/api/x', body: Body, answer: Answer }) }
}
const good = { name: 'Arms', sets: [3] }
const refused = (problem: object) => ({
  ok: false,
  error: { kind: 'refused', problem: { status: 422, detail: 'Not so.', ...problem } },
})

describe('a form that is sent', () => {
  test('gives what the server answers, and is busy only meanwhile', async () => {
    const { of, asked } = await form({ ok: true, value: { id: 'a' } })
    const sending = of.send(good)
    expect(of.isBusy.value).toBe(true)
    expect(await sending).toEqual({ id: 'a' })
    expect(of.isBusy.value).toBe(false)
    expect(asked).toEqual([{ path: '/api/x', method: 'POST', body: good }])
  })

  test('is checked by the contract first: nothing is sent, each field says what is wrong', async () => {
    const { of, asked } = await form({ ok: true, value: { id: 'a' } })
    expect(await of.send({ name: '', sets: [3, 40] })).toBeUndefined()
    expect(asked).toEqual([])
    expect(of.complaintAbout('/name', 'Name')).toBe('Name is empty; fill it in.')
    expect(of.complaintAbout('/sets', 'Sets')).toMatch(/^Sets .*20/)
    expect(of.complaintAbout('/other', 'Other')).toBe('')
  })

  test('what the server says of fields stands at the fields', async () => {
    const errors = [{ pointer: '/name', kind: 'taken', detail: 'name is taken; choose another.' }]
    const { of } = await form(refused({ errors }))
    await of.send(good)
    expect([of.complaintAbout('/name', 'Name'), of.complaint.value]).toEqual([
      'Name is taken; choose another.',
      '',
    ])
  })

  test('what it says of the whole stands with the whole', async () => {
    const { of } = await form(refused({ detail: 'Archived clients stay as they are.' }))
    await of.send(good)
    expect(of.complaint.value).toBe('Archived clients stay as they are.')
    of.forget()
    expect([of.complaint.value, of.errors.value]).toEqual(['', []])
  })

  test('a server that does not answer is told, and the next try clears it', async () => {
    const { of } = await form({ ok: false, error: { kind: 'unreachable' } })
    await of.send(good)
    expect(of.complaint.value).toMatch(/does not answer.*what you entered is kept/)
    await of.send({ name: '', sets: [] })
    expect(of.complaint.value).toBe('')
  })
})
