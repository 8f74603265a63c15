import { useEventListener } from '@vueuse/core'
import { sessionIntent, type SessionIntent } from './sessionKeys'
import type { SessionBuilder } from './useSessionBuilder'

interface KeyboardOptions {
  readonly builder: SessionBuilder
  readonly isSilent: () => boolean
  readonly onDay: (day: number) => void
}

/** Sends key presses to the Session builder, unless they belong to a field, a dialog, a menu or a control. */
export function useSessionKeyboard({ builder, isSilent, onDay }: KeyboardOptions): void {
  function follow(intent: SessionIntent): void {
    const slot = builder.selected.value
    switch (intent.kind) {
      case 'go':
        return builder.go(intent)
      case 'move':
        return builder.move(intent)
      case 'sets':
        return builder.changeSets(intent.step)
      case 'rest':
        return builder.changeRest(intent.step)
      case 'write':
        return focusShorthand()
      case 'add':
        return builder.open('add')
      case 'short':
        return builder.slots.value.length > 0
          ? builder.open('short')
          : builder.say('Nothing to shorten yet.')
      case 'pair':
        return builder.togglePair()
      case 'swap':
        return slot ? builder.open('swap') : undefined
      case 'straight':
        return void (builder.showsStraight.value = !builder.showsStraight.value)
      case 'remove':
        return builder.remove()
      case 'undo':
        return builder.undo()
      case 'redo':
        return builder.redo()
      case 'next_notice':
        return builder.nextNotice()
      case 'fix':
        return builder.notice.value
          ? builder.fix(builder.notice.value)
          : builder.say('N chooses something to look at first.')
      case 'dismiss':
        return builder.notice.value
          ? builder.open('dismiss')
          : builder.say('N chooses something to look at first.')
      case 'templates':
        return builder.open('templates')
      case 'text':
        return builder.open('text')
      case 'versions':
        return builder.open('versions')
      case 'warm_up':
        return slot ? builder.warmUp(slot) : undefined
      case 'keys':
        return builder.open('keys')
      case 'cancel':
        return builder.close()
      case 'day':
        return onDay(intent.digit - 1)
    }
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    const target = event.target instanceof Element ? event.target : null
    if (
      isSilent() ||
      event.defaultPrevented ||
      target?.closest('input, textarea, select, [role=menu], [role=dialog]')
    )
      return
    if (event.key === '/' || (event.key === 'Enter' && target?.closest('button, a, summary')))
      return
    const intent = sessionIntent(event)
    if (!intent) return
    event.preventDefault()
    follow(intent)
  })
}

/** The chosen exercise's shorthand gets the keyboard. */
function focusShorthand(): void {
  document.querySelector<HTMLInputElement>('[data-selected] input[data-shorthand]')?.focus()
}
