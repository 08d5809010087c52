import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toDataURL } from 'qrcode';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Waiting } from '../ui/Page';
import { sayInstant } from '../ui/words';
import { sessionQuestion } from '../session/session';
import { useSession } from '../session/useSession';
import { words } from './words';

/** One's own account: the password, the second factor, and where one is signed in. */
export default function AccountPage() {
    const { data, error } = useQuery(questions.account());
    const { user } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page title={words.yourAccount} above={<span>{`${data.name}, ${data.email}`}</span>}>
            {user?.needs_factor && (
                <Notice>
                    <strong>{words.factorFirst}</strong> {words.factorFirstAbout}
                </Notice>
            )}
            <Box sx={{ maxWidth: 820 }}>
                <Factor account={data} />
                <Password />
                <Sessions sessions={data.sessions} />
            </Box>
        </Page>
    );
}

function Factor({ account }: { account: Schemas['OwnAccount'] }) {
    const client = useQueryClient();
    const [begun, setBegun] = useState<{ secret: string; picture: string } | null>(null);
    const [code, setCode] = useState('');
    const [password, setPassword] = useState('');
    const [oldCode, setOldCode] = useState('');
    const begin = useMutation({
        mutationFn: async () => {
            const { secret, address } = await ask(api.POST('/account/factor'));
            return { secret, picture: await toDataURL(address, { margin: 2, width: 220 }) };
        },
        onSuccess: setBegun,
    });
    const setUp = useMutation({
        mutationFn: () => ask(api.PUT('/account/factor', { body: { code } })),
        onSuccess: (own) => {
            client.setQueryData(questions.account().queryKey, own);
            void client.invalidateQueries({ queryKey: sessionQuestion().queryKey });
            setBegun(null);
            setCode('');
        },
    });
    const problem = isProblem(setUp.error) ? setUp.error : null;
    return (
        <Sheet title={words.secondFactor}>
            <Typography sx={{ mb: 2 }}>
                {account.has_factor ? words.factorIsOn(account.codes_left) : words.factorAbout}
            </Typography>
            {account.recovery_codes && (
                <Notice>
                    <strong>{words.recoveryCodes}</strong> {words.recoveryCodesAbout}
                    <Box component="ul" sx={{ columns: { xs: 1, sm: 2 }, fontFamily: 'monospace', m: 0, mt: 1, pl: 5 }}>
                        {account.recovery_codes.map((one) => (
                            <li key={one}>{one}</li>
                        ))}
                    </Box>
                </Notice>
            )}
            {!account.has_factor && begun === null && (
                <Button variant="contained" onClick={() => begin.mutate()} disabled={begin.isPending}>
                    {words.setUpFactor}
                </Button>
            )}
            {begun && (
                <Box
                    component="form"
                    noValidate
                    onSubmit={(event) => {
                        event.preventDefault();
                        setUp.mutate();
                    }}
                    sx={{ display: 'grid', gap: 3, justifyItems: 'start' }}
                >
                    <Typography>{words.scanThis}</Typography>
                    <img src={begun.picture} alt={words.squareCode} width={220} height={220} />
                    <Typography sx={{ overflowWrap: 'anywhere' }}>
                        {words.orType} <strong>{begun.secret}</strong>
                    </Typography>
                    <Write
                        label={words.codeOfTheApp}
                        value={code}
                        onWrite={setCode}
                        problem={problem?.at('code')}
                        slotProps={{ htmlInput: { inputMode: 'numeric', autoComplete: 'one-time-code', maxLength: 8 } }}
                    />
                    <Button type="submit" variant="contained" disabled={code.trim() === '' || setUp.isPending}>
                        {words.turnOnFactor}
                    </Button>
                </Box>
            )}
            {account.has_factor && (
                <FormDialog
                    word={words.turnOffFactor}
                    title={words.turnOffFactor}
                    done={words.turnOff}
                    isReady={password !== '' && oldCode.trim() !== ''}
                    onOpen={() => {
                        setPassword('');
                        setOldCode('');
                    }}
                    save={async () => {
                        const own = await ask(api.DELETE('/account/factor', { body: { password, old_code: oldCode } }));
                        client.setQueryData(questions.account().queryKey, own);
                        await client.invalidateQueries({ queryKey: sessionQuestion().queryKey });
                    }}
                >
                    {(wrong) => (
                        <>
                            <Write
                                label={words.password}
                                type="password"
                                value={password}
                                onWrite={setPassword}
                                problem={wrong?.at('password')}
                                help={account.factor_required ? words.factorIsRequired : undefined}
                            />
                            <Write
                                label={words.codeOrRecoveryCode}
                                value={oldCode}
                                onWrite={setOldCode}
                                problem={wrong?.at('old_code')}
                                slotProps={{ htmlInput: { autoComplete: 'one-time-code', maxLength: 40 } }}
                            />
                        </>
                    )}
                </FormDialog>
            )}
        </Sheet>
    );
}

function Password() {
    const client = useQueryClient();
    const [current, setCurrent] = useState('');
    const [password, setPassword] = useState('');
    const save = useMutation({
        mutationFn: () => ask(api.PUT('/account/password', { body: { current, password } })),
        onSuccess: (own) => {
            client.setQueryData(questions.account().queryKey, own);
            setCurrent('');
            setPassword('');
        },
    });
    const problem = isProblem(save.error) ? save.error : null;
    return (
        <Sheet title={words.password}>
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    save.mutate();
                }}
                sx={{ display: 'grid', gap: 3, maxWidth: 420 }}
            >
                <Write
                    label={words.currentPassword}
                    type="password"
                    autoComplete="current-password"
                    value={current}
                    onWrite={setCurrent}
                    problem={problem?.at('current')}
                />
                <Write
                    label={words.newPassword}
                    type="password"
                    autoComplete="new-password"
                    value={password}
                    onWrite={setPassword}
                    problem={problem?.at('password')}
                    help={words.passwordHelp}
                />
                <Button
                    type="submit"
                    variant="contained"
                    disabled={current === '' || password === '' || save.isPending}
                    sx={{ justifySelf: 'start' }}
                >
                    {words.changePassword}
                </Button>
                {save.isSuccess && <span role="status">{words.passwordChanged}</span>}
            </Box>
        </Sheet>
    );
}

function Sessions({ sessions }: { sessions: Schemas['OpenSession'][] }) {
    const client = useQueryClient();
    const { timeZone } = useSession();
    const end = useMutation({
        mutationFn: (id: string) => ask(api.DELETE('/account/sessions/{id}', { params: { path: { id } } })),
        onSuccess: (own) => client.setQueryData(questions.account().queryKey, own),
    });
    return (
        <Sheet
            title={words.whereSignedIn}
            beside={sessions.length > 1 && <Button onClick={() => end.mutate('others')}>{words.endAllOthers}</Button>}
        >
            {sessions.map((one) => (
                <Box
                    key={one.id}
                    sx={{
                        display: 'flex',
                        gap: 2,
                        alignItems: 'center',
                        borderTop: 1,
                        borderColor: 'divider',
                        py: 1.5,
                    }}
                >
                    <Box sx={{ flex: 1, minWidth: 0 }}>
                        <strong>{one.device}</strong>
                        {one.is_this && ` · ${words.thisSession}`}
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {words.lastUsed(sayInstant(one.last_used_at, timeZone), one.address)}
                        </Typography>
                    </Box>
                    {!one.is_this && (
                        <Button aria-label={words.endSessionOf(one.device)} onClick={() => end.mutate(one.id)}>
                            {words.endSession}
                        </Button>
                    )}
                </Box>
            ))}
        </Sheet>
    );
}
