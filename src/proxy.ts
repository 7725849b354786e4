import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NextResponse } from 'next/server';

/**
 * The Content-Security-Policy of every response. The framework puts inline scripts into its static pages;
 * their hashes are computed after the build (scripts/csp-hashes.mjs), so that scripts need no `unsafe-inline`.
 * Styles do: the component library injects its own.
 */
function policy(): string {
  const file = join(process.cwd(), '.next', 'script-hashes.json');
  const development = process.env.NODE_ENV !== 'production';
  const hashes: string[] = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : [];
  const scripts = development
    ? "'self' 'unsafe-inline' 'unsafe-eval'"
    : ["'self'", ...hashes.map((hash) => `'${hash}'`)].join(' ');
  return [
    "default-src 'self'",
    `script-src ${scripts}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

const POLICY = policy();

export function proxy(): NextResponse {
  const response = NextResponse.next();
  response.headers.set('Content-Security-Policy', POLICY);
  return response;
}
