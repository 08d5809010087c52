import createClient from 'openapi-fetch';
import { measureClock } from './clock';
import { COPY_MADE_AT, noteAnswer } from './copies';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Verdict = Schemas['VerdictCount']['verdict'];

/** An error of the API as problem+json: what was wrong, where, and what to do. */
export class Problem extends Error {
    constructor(
        readonly status: number,
        readonly title: string,
        detail: string,
        readonly errors: Record<string, string[]>,
        readonly changes: string[],
    ) {
        super(detail);
    }

    /** Whether the same request may go through later, unchanged. */
    get isPassing(): boolean {
        return this.status === 0 || this.status === 429 || this.status >= 500;
    }

    get isSignedOut(): boolean {
        return this.status === 401 || this.status === 419;
    }

    at(field: string): string | undefined {
        return this.errors[field]?.[0];
    }
}

let token = '';
let onSignedOut: () => void = () => undefined;

export function keepToken(csrf: string): void {
    token = csrf;
}

/** Told when a request finds that nobody is signed in any more. */
export function whenSignedOut(then: () => void): void {
    onSignedOut = then;
}

export const api = createClient<paths>({
    baseUrl: `${window.location.origin}/api`,
    headers: { Accept: 'application/json' },
    fetch: (request) => fetch(request),
});

api.use({
    async onRequest({ request }) {
        if (request.method !== 'GET') {
            if (token === '') {
                await renewToken();
            }
            request.headers.set('X-CSRF-TOKEN', token);
        }
        return request;
    },
    onResponse({ request, response }) {
        if (request.method === 'GET') {
            noteAnswer(request.url, response.headers.get(COPY_MADE_AT));
        }
        measureClock(response.headers.get('Date'), Date.now());
    },
});

/** A page that was opened without a network has none yet. */
async function renewToken(): Promise<void> {
    try {
        const answer = await fetch(`${window.location.origin}/api/session`, {
            headers: { Accept: 'application/json' },
        });
        token = ((await answer.json()) as { csrf?: string }).csrf ?? '';
    } catch {
        // Then what is to be sent does not arrive either, and says so.
    }
}

interface Answer<T> {
    data?: T;
    error?: unknown;
    response: Response;
}

interface ProblemBody {
    title?: string;
    detail?: string;
    errors?: Record<string, string[]>;
    changes?: string[];
}

/** The data of an answer, or a Problem thrown; no answer at all is a Problem of status 0. */
export async function ask<T>(request: Promise<Answer<T>>): Promise<T> {
    let answer: Answer<T>;
    try {
        answer = await request;
    } catch {
        throw new Problem(
            0,
            'No connection',
            'The server did not answer. What you typed is saved on this device.',
            {},
            [],
        );
    }
    if (answer.response.ok && answer.data !== undefined) {
        return answer.data;
    }
    const body = (typeof answer.error === 'object' ? answer.error : {}) as ProblemBody;
    const problem = new Problem(
        answer.response.status,
        body.title ?? 'Something went wrong',
        body.detail ?? 'The server did not understand the request, or did not answer. Try again.',
        body.errors ?? {},
        body.changes ?? [],
    );
    if (problem.isSignedOut) {
        onSignedOut();
    }
    throw problem;
}

/** The same for what answers with nothing: done, or a Problem thrown. */
export async function done(request: Promise<Answer<unknown>>): Promise<void> {
    await ask(request.then((answer) => (answer.response.ok ? { ...answer, data: true } : answer)));
}

export function isProblem(error: unknown): error is Problem {
    return error instanceof Problem;
}
