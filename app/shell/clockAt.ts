const two = (part: number) => String(part).padStart(2, '0')

/** A moment as the clock of whoever looks shows it: `14:05`. */
export const clockAt = (time: Date): string => `${two(time.getHours())}:${two(time.getMinutes())}`
