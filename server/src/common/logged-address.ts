/**
 * An address as it may stand in the log: the token of a student’s link opens what it names, and is left out.
 *
 * @example loggedAddress('/api/home/aBc/runs/1') // '/api/home/…/runs/1'
 */
export function loggedAddress(address: string): string {
  return address.replace(/^\/api\/home\/[^/?]+/, '/api/home/…');
}
