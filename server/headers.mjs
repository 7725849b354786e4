import { existsSync, readFileSync } from 'node:fs';

/** Where the build leaves the hashes of its inline scripts (scripts/build/csp-hashes.mjs). */
const HASHES = '.next/script-hashes.json';

/**
 * The Content-Security-Policy of every response. The framework puts inline scripts into its static
 * pages; their hashes are computed after the build, so that scripts need no `unsafe-inline`.
 * Style elements do: the component library makes its own in the browser, and a page that comes
 * from the offline cache can't carry a nonce that nobody knew before. Style attributes need it
 * too.
 */
function policy(development) {
  const hashes = existsSync(HASHES) ? JSON.parse(readFileSync(HASHES, 'utf8')) : [];
  const scripts = development
    ? "'self' 'unsafe-inline' 'unsafe-eval'"
    : ["'self'", ...hashes.map((hash) => `'${hash}'`)].join(' ');
  return [
    "default-src 'self'",
    `script-src ${scripts}`,
    "script-src-attr 'none'",
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "frame-src 'none'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** What the app uses, for itself alone; all else that a page could ask for is off. */
const USED = ['accelerometer', 'camera', 'geolocation', 'gyroscope', 'magnetometer'];
const SHARED = ['clipboard-write', 'screen-wake-lock'];
const UNUSED = [
  'autoplay',
  'browsing-topics',
  'display-capture',
  'encrypted-media',
  'fullscreen',
  'hid',
  'idle-detection',
  'local-fonts',
  'microphone',
  'midi',
  'payment',
  'publickey-credentials-get',
  'serial',
  'usb',
  'xr-spatial-tracking',
];
const permissions = [
  ...[...USED, ...SHARED].map((feature) => `${feature}=(self)`),
  ...UNUSED.map((feature) => `${feature}=()`),
].join(', ');

/**
 * The policy of the build's own files. No page is among them; a worker that comes from one has its
 * own policy, and may do no more than it needs.
 */
const FILE_POLICY = "default-src 'none'; script-src 'self'; connect-src 'self'; worker-src 'self'";

/** The headers of the build's own files: there are some twenty to a page, so that they are few. */
export const fileHeaders = {
  'Content-Security-Policy': FILE_POLICY,
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Resource-Policy': 'same-origin',
};

/** The headers that every other response has, errors and redirects as well. */
export const securityHeaders = (development) => ({
  'Content-Security-Policy': policy(development),
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Permissions-Policy': permissions,
});
