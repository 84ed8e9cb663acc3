import { parse } from 'cookie';
import type { Request, Response } from 'express';

const NAME = 'dunlinmoss_session';
/** A phone that is used at least this often stays signed in, days. */
export const SESSION_DAYS = 90;

const settings = (request: Request) =>
  ({ httpOnly: true, sameSite: 'lax', path: '/', secure: request.secure }) as const;

/** The secret that a browser brings, or undefined. */
export const sessionToken = (request: Request): string | undefined => {
  const { cookie } = request.headers;
  return cookie === undefined ? undefined : parse(cookie)[NAME];
};

export function setSession(request: Request, response: Response, token: string): void {
  response.cookie(NAME, token, { ...settings(request), maxAge: SESSION_DAYS * 86_400_000 });
}

export function clearSession(request: Request, response: Response): void {
  response.clearCookie(NAME, settings(request));
}
