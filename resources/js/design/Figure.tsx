import { useState } from 'react';
import { Write } from '../ui/Fields';
import { gramsOf } from '../ui/weight';
import { words } from './words';

interface FigureProps {
    label: string;
    value: number | null;
    onFigure: (value: number | null) => void;
    /** Where there must be one: an empty field leaves what was. */
    isNeeded?: boolean;
    least?: number;
    most?: number;
    /** So many minor units are shown as one. */
    minor?: number;
    /** A weight in grams, which may be typed in any unit. */
    isWeight?: boolean;
    help?: string;
}

/** A whole figure with its unit in the label; what is none stays as it was typed, and says so. */
export function Figure({
    label,
    value,
    onFigure,
    isNeeded = false,
    least = 1,
    most = 1_000_000,
    minor = 1,
    isWeight = false,
    help,
}: FigureProps) {
    const say = (figure: number | null) =>
        figure === null ? '' : minor === 1 ? String(figure) : (figure / minor).toFixed(2);
    const [typed, setTyped] = useState<{ text: string; of: number | null } | null>(null);
    // What was changed elsewhere, as by a step back, is shown in place of what was typed before.
    const text = typed !== null && typed.of === value ? typed.text : say(value);
    const read = (text: string): number | null | undefined => {
        const plain = text.trim().replace(',', '.');
        if (plain === '') {
            return isNeeded ? undefined : null;
        }
        if (isWeight) {
            const grams = gramsOf(plain);
            return grams !== undefined && grams >= least && grams <= most ? grams : undefined;
        }
        const parts = /^(\d{1,9})(?:\.(\d{1,2}))?$/.exec(plain);
        if (!parts || (minor === 1 && parts[2] !== undefined)) {
            return undefined;
        }
        const figure = Number(parts[1]) * minor + (minor === 1 ? 0 : Number((parts[2] ?? '').padEnd(2, '0')));
        return figure >= least && figure <= most ? figure : undefined;
    };
    const problem = isWeight ? words.noWeight : words.figure;
    return (
        <Write
            label={label}
            size="small"
            value={text}
            onWrite={(text) => {
                const figure = read(text);
                setTyped({ text, of: figure === undefined ? value : figure });
                if (figure !== undefined && figure !== value) {
                    onFigure(figure);
                }
            }}
            problem={read(text) === undefined ? problem(least, most) : undefined}
            help={isWeight && read(text) && /[a-z]/i.test(text) ? words.grams(String(read(text))) : help}
            slotProps={{ htmlInput: { inputMode: isWeight ? 'text' : minor === 1 ? 'numeric' : 'decimal' } }}
        />
    );
}
