import { device } from './device';
import { upgraded } from './versions';

/** Where pages kept work before it was locked: in the open, by names that begin so. */
const CHECK = 'sarcina.check.';
const FORM = 'sarcina.form.';

/** Takes over what an older page left here for that person. */
export function takeOver(person: string): void {
    for (const name of Object.keys(localStorage)) {
        const text = localStorage.getItem(name);
        if (text === null) {
            continue;
        }
        try {
            if (name.startsWith(`${CHECK}${person}.`)) {
                const kit = name.slice(CHECK.length + person.length + 1);
                device.put('check', `check:${person}:${kit}`, upgraded('check', 1, JSON.parse(text)));
                localStorage.removeItem(name);
            } else if (name.startsWith(FORM)) {
                device.put('form', `form:${name.slice(FORM.length)}`, JSON.parse(text));
                localStorage.removeItem(name);
            }
        } catch {
            // What cannot be read stays where it is.
        }
    }
}
