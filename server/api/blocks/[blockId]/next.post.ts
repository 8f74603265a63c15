import { NextBlockAnswer, NextBlockBody } from '#shared/contracts/block'
import { BlockParams } from '#shared/contracts/client'
import { startNextBlock } from '../../../services/blocks'
import { defineRoute } from '../../../utils/defineRoute'

export default defineRoute({
  params: BlockParams,
  body: NextBlockBody,
  answer: NextBlockAnswer,
  doing: 'next_block',
  handle: ({ coach, params, body }) => startNextBlock(coach, params.blockId, body),
})
