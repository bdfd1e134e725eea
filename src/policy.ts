/** Names the server may be asked by besides this machine's and addresses, as its keeper lists them, parted by commas. */
const LISTED = (process.env.ELAND_HOSTS ?? "").split(",").map((name) => name.trim().toLowerCase());

const ADDRESS = /^(\d{1,3}(\.\d{1,3}){3}|\[[0-9a-f:.]+\])$/;

/**
 * True for a `Host` by which this server may be asked: this machine, an address, or a name its keeper has listed. Any other
 * name was pointed here by somebody else, whose pages would pass for Eland's own.
 */
export function isOwnHost(host: string | null): boolean {
  const name = (host ?? "").toLowerCase().replace(/:\d+$/, "");
  return name === "localhost" || name.endsWith(".localhost") || ADDRESS.test(name) || LISTED.includes(name);
}

/**
 * What a page may do: it asks this server alone, shows its own pictures, is framed by nobody and posts nowhere else. Styles
 * are written inline by the component library. With a nonce only scripts that carry it run; without one (the API, the
 * worker that keeps pages) only scripts from here.
 */
export function contentPolicy(nonce: string | null, isDevelopment: boolean): string {
  const scripts = nonce === null ? "" : ` 'nonce-${nonce}' 'strict-dynamic'`;
  return [
    "default-src 'self'",
    `script-src 'self'${scripts}${isDevelopment ? " 'unsafe-eval'" : ""}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}
