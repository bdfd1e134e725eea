/** A day of a job is kept once. */
export const dayId = (job: string, date: string): string => `${job}|${date}`;
