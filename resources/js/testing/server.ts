import { vi } from 'vitest';

export interface Sent {
    method: string;
    path: string;
    body: unknown;
}

type Answer = (sent: Sent) => Response | Promise<Response>;

/** Answers in place of the server, and keeps what it was sent. */
export function serve(answer: Answer): Sent[] {
    const sent: Sent[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const text = await request.text();
        const one = {
            method: request.method,
            path: new URL(request.url).pathname,
            body: text === '' ? null : (JSON.parse(text) as unknown),
        };
        sent.push(one);
        return answer(one);
    });
    return sent;
}

export function answer(body: unknown, status = 200): Response {
    return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
}

export function refuse(status: number, detail: string, errors: Record<string, string[]> = {}): Response {
    return answer({ title: 'Not accepted', detail, errors, changes: [] }, status);
}

/** Answers each path with what it says, others with *not there*, and keeps every question with its query. */
export function serveEach(says: Record<string, unknown>): URL[] {
    const asked: URL[] = [];
    vi.stubGlobal('fetch', (request: Request) => {
        const url = new URL(request.url);
        asked.push(url);
        const said = says[url.pathname];
        return Promise.resolve(said === undefined ? refuse(404, 'Not there') : answer(said));
    });
    return asked;
}

/** The one page of a list. */
export const onePage = (inAll: number) => ({ page: 1, pages: 1, in_all: inAll });
