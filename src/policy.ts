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
