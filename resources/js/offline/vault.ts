/** Locks and opens what is kept on this device, by a key that no script can read out. */

const ALGORITHM = 'AES-GCM';
const IV_BYTES = 12;

export function importKey(base64: string): Promise<CryptoKey> {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    return crypto.subtle.importKey('raw', bytes, ALGORITHM, false, ['encrypt', 'decrypt']);
}

export async function lock(
    key: CryptoKey,
    id: string,
    value: unknown,
): Promise<{ iv: Uint8Array<ArrayBuffer>; body: ArrayBuffer }> {
    const iv = crypto.getRandomValues(new Uint8Array(IV_BYTES));
    const text = new TextEncoder().encode(JSON.stringify(value));
    return { iv, body: await crypto.subtle.encrypt(parameters(iv, id), key, text) };
}

/** @throws where it was locked by another key, or is another one's text */
export async function open(
    key: CryptoKey,
    id: string,
    locked: { iv: Uint8Array<ArrayBuffer>; body: ArrayBuffer },
): Promise<unknown> {
    const text = await crypto.subtle.decrypt(parameters(locked.iv, id), key, locked.body);
    return JSON.parse(new TextDecoder().decode(text)) as unknown;
}

/** Bound to its id, so that one cannot be put in the place of another. */
function parameters(iv: Uint8Array<ArrayBuffer>, id: string): AesGcmParams {
    return { name: ALGORITHM, iv, additionalData: new TextEncoder().encode(id) };
}
