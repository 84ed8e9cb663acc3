import { Router, type RouterOptions } from 'express';

/** A router to which another spelling of an address, by capitals or a slash at its end, is another address. */
export const strictRouter = (options: RouterOptions = {}): Router =>
  Router({ ...options, caseSensitive: true, strict: true });
