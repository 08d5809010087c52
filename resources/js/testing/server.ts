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
