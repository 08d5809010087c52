import TextField from '@mui/material/TextField';
import { useSession } from './useSession';
import { words } from './words';

export interface Signature {
    signed: string;
    /** Why it is not the account's own name. */
    signedBecause: string;
}

/** Whether it is the account's name or its initials, however they are spaced or dotted; the server says the same. */
export function isOwnName(name: string, signed: string): boolean {
    const plain = (text: string) => text.replace(/[\s.]+/gu, '').toLocaleLowerCase();
    const initials = name
        .trim()
        .split(/[\s-]+/u)
        .map((part) => part.slice(0, 1))
        .join('');
    return [plain(name), initials.toLocaleLowerCase()].includes(plain(signed));
}

/** Whether it can be signed so: with the own name, or with another and the reason. */
export function isSigned(name: string, { signed, signedBecause }: Signature): boolean {
    return signed.trim() !== '' && (isOwnName(name, signed) || signedBecause.trim() !== '');
}

interface SignedNameProps extends Signature {
    errors: Record<string, string[]>;
    onChange: (to: Partial<Signature>) => void;
}

/** The name below what is recorded: the account's own or its initials, or another one and why. */
export function SignedName({ signed, signedBecause, errors, onChange }: SignedNameProps) {
    const { user } = useSession();
    const name = user?.name ?? '';
    return (
        <>
            <TextField
                label={words.signedBy}
                value={signed}
                onChange={(event) => onChange({ signed: event.target.value })}
                error={errors.signed !== undefined}
                helperText={errors.signed?.[0] ?? words.recordedPermanently(name)}
                slotProps={{ htmlInput: { maxLength: 120 } }}
                sx={{ maxWidth: 480, mb: 2, display: 'flex' }}
            />
            {signed.trim() !== '' && !isOwnName(name, signed) && (
                <TextField
                    label={words.whyAnotherName}
                    value={signedBecause}
                    onChange={(event) => onChange({ signedBecause: event.target.value })}
                    error={errors.signed_because !== undefined}
                    helperText={errors.signed_because?.[0] ?? words.youAreSignedInAs(name)}
                    slotProps={{ htmlInput: { maxLength: 200 } }}
                    sx={{ maxWidth: 480, mb: 2, display: 'flex' }}
                />
            )}
        </>
    );
}
