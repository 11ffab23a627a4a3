import createClient from 'openapi-fetch';
import { said } from '../said';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Finding = Schemas['Finding'];
/** A dose has a left and a right; a measurement may also lie on the midline. */
export type Side = 'LEFT' | 'RIGHT' | 'MIDLINE';
export const SIDES: Side[] = ['LEFT', 'RIGHT'];

export const api = createClient<paths>();

/** Whether these are a client's pages at home: they ask in the client's name, whoever else is signed in on the device. */
export const AT_HOME = /^\/home(\/|$)/.test(location.pathname);

const FORGERY = new RegExp(`(?:^|; )(?:__Host-)?${AT_HOME ? 'XSRF-HOME' : 'XSRF-TOKEN'}=([^;]*)`);

/** Sent with every change, so that another site's page cannot make one: the cookie's value, read anew each time. */
export function forgeryHeader(): Record<string, string> {
  const token = FORGERY.exec(document.cookie)?.[1];
  return token === undefined ? {} : { 'X-XSRF-TOKEN': token };
}

/** Told on the window when the server no longer knows who asks. */
export const SIGNED_OUT = 'gradino:signed-out';

api.use({
  onRequest({ request }) {
    for (const [name, value] of Object.entries(forgeryHeader())) request.headers.set(name, value);
    if (AT_HOME) request.headers.set('X-Gradino-Home', '1');
    return request;
  },
  onResponse({ response }) {
    if (response.status === 401) dispatchEvent(new Event(SIGNED_OUT));
    return undefined;
  },
});

/** A refusal of the server: words for the person, findings for the fields. */
export class ProblemError extends Error {
  readonly findings: Finding[];
  readonly status: number;
  constructor(status: number, detail: string, findings: Finding[]) {
    super(detail);
    this.status = status;
    this.findings = findings;
  }
}

type Outcome<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer; throws a {@link ProblemError} for anything else. */
export async function ask<T>(call: Promise<Outcome<T>>): Promise<T> {
  const outcome = await call.catch(() => {
    throw new ProblemError(0, 'The server does not answer. What you typed is still here.', []);
  });
  if (!outcome.response.ok) throw problem(outcome.response.status, outcome.error);
  return said(outcome.data as T);
}

export function problem(status: number, body: unknown): ProblemError {
  const refusal = said(body ?? {}) as { detail?: string; findings?: Finding[] };
  return new ProblemError(status, refusal.detail ?? 'The server could not do this.', refusal.findings ?? []);
}

export function findingsOf(error: unknown): Finding[] {
  return error instanceof ProblemError ? error.findings : [];
}

/** Ids are made here, so that sending twice stores once. crypto.randomUUID needs a secure context; this does not. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('');
}

/** What is of the midline stands on the left. */
export function on<T>(side: Side, sided: { left: T; right: T }): T {
  return side === 'RIGHT' ? sided.right : sided.left;
}

export function withSide<T>(side: Side, sided: { left: T; right: T }, value: T): { left: T; right: T } {
  return side === 'LEFT' ? { ...sided, left: value } : { ...sided, right: value };
}

export type SideOrder = Schemas['Plan']['sides'];

/** Whether one dose, kept on the left, is for the whole body. */
export function isOne(sides: SideOrder): boolean {
  return sides === 'MIDLINE' || sides === 'TOGETHER';
}

/** Whether one side goes before the other. */
export function hasFirst(sides: SideOrder): boolean {
  return !isOne(sides) && sides !== 'LEFT' && sides !== 'RIGHT';
}
