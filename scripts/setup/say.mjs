/** Prints what is being done, while it is being done. */
export function say(text) {
  console.log(`· ${text}`)
}

/** Ends the program with a sentence instead of a stack. */
export class SetupError extends Error {}

/** Runs a script's main function; a SetupError is told in one line. */
export async function reportingErrors(main) {
  try {
    await main()
  } catch (error) {
    console.error(error instanceof SetupError ? `\n${error.message}` : error)
    process.exit(1)
  }
}
