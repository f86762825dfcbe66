/** The server's clock, as its last answer told it: a device's own may be wrong, or be set meanwhile. */
interface Told {
  serverMs: number;
  atMs: number;
}

let told: Told | null = null;

export function tellServerClock(date: string | null): void {
  const serverMs = date === null ? NaN : Date.parse(date);
  if (!Number.isNaN(serverMs)) told = { serverMs, atMs: performance.now() };
}

/** Now, ISO, by the server; by this device until the server has answered. */
export function serverNow(): string {
  return new Date(told ? told.serverMs + performance.now() - told.atMs : Date.now()).toISOString();
}
