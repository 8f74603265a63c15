import { refusalWords } from '~/shell/refusalWords'
import {
  KeptTemplate,
  type PlanTemplate,
  PlanTemplateFile,
  RenameTemplateBody,
  ReplaceTemplateBody,
} from '#shared/contracts/planTemplate'
import { LIMITS } from '#shared/contracts/limits'

interface Named {
  readonly id: string
  readonly name: string
}

/** What can be done with the coach's own templates: other names, another content, out of the list, in from a file. */
export function useOwnTemplates(
  own: Readonly<Ref<readonly PlanTemplate[]>>,
  load: () => Promise<void>,
) {
  const store = usePlanStore()
  const { ask } = useApi()
  const problem = ref('')

  async function remove({ id }: Named): Promise<void> {
    const result = await ask(`/api/plan-templates/${id}`, {
      method: 'DELETE',
      answer: KeptTemplate,
    })
    if (result.ok) await load()
  }
  /** What is wrong with the names; nothing where they were kept. */
  async function rename(id: string, names: { name: string; reason: string }): Promise<string> {
    const body = RenameTemplateBody.safeParse(names)
    if (!body.success)
      return `Give it a name of up to ${LIMITS.name} characters, and at most ${LIMITS.longText} for what it is for.`
    const result = await ask(`/api/plan-templates/${id}`, {
      method: 'PUT',
      body: body.data,
      answer: KeptTemplate,
    })
    if (result.ok) await load()
    else
      return refusalWords(
        result.error,
        'The server does not answer. The name stays as it was; try again.',
      )
    return ''
  }
  /** The plan on the board takes the place of a template's content; those made from it are offered what changed. */
  async function replace({ id, name }: Named): Promise<string> {
    const block = store.client?.block
    if (!block) return 'There is no plan to take its content from.'
    await store.save()
    const part = own.value.find(template => template.id === id)?.content.passes
    const result = await ask(`/api/plan-templates/${id}/content`, {
      method: 'PUT',
      body: ReplaceTemplateBody.parse({
        block: block.id,
        part: part === undefined ? 'rotation' : 'block',
      }),
      answer: KeptTemplate,
    })
    if (!result.ok) return 'The server did not take it. The template stays as it was; try again.'
    await load()
    return `${name} is as this plan is now. Plans made from it are offered what changed.`
  }
  async function takeIn(file: File | undefined): Promise<void> {
    problem.value = ''
    if (!file) return
    const body = PlanTemplateFile.safeParse(
      await file
        .text()
        .then(JSON.parse)
        .catch(() => null),
    )
    if (!body.success)
      return void (problem.value = `${file.name} is no template. Choose a file made with “Export” under a template of your own.`)
    const result = await ask('/api/plan-templates/import', {
      method: 'POST',
      body: body.data,
      answer: KeptTemplate,
    })
    if (result.ok) await load()
    else
      problem.value = refusalWords(
        result.error,
        'The server does not answer. Nothing was taken in; try again.',
      )
  }
  return { remove, rename, replace, takeIn, problem: readonly(problem) }
}
