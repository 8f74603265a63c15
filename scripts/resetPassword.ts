// `npm run reset-password EMAIL`, through scripts/resetPassword.mjs: a way back in for a coach who has lost the password.
import { closeDatabase } from '../server/db/database'
import { resetLink } from '../server/services/passwordReset'

const [, , email = ''] = process.argv
const link = await resetLink(email)
await closeDatabase()
if (link) console.log(`Good once, for an hour, behind your site’s address: ${link}`)
else {
  console.error(`Nobody has the email ${JSON.stringify(email)}. Look at how it is written.`)
  process.exitCode = 1
}
