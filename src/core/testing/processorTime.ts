/**
 * Milliseconds of the processor this process has had: how long work takes by itself, however busy the machine is that
 * the tests run on.
 */
export function processorTime(): number {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
}
