import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api, ask, isProblem, keepToken } from '../api/client';
import { Trouble } from '../ui/Page';
import { keep, sessionQuestion } from './session';
import { words } from './words';

interface Credentials {
    email: string;
    password: string;
    code: string | null;
}

export function SignInForm({ email: known = '', onDone }: { email?: string; onDone?: (user: string) => void }) {
    const client = useQueryClient();
    const [email, setEmail] = useState(known);
    const [password, setPassword] = useState('');
    const [code, setCode] = useState('');
    const signIn = useMutation({
        mutationFn: async (body: Credentials) => {
            // A page that lay open for long holds a token of a session that has ended.
            keepToken((await ask(api.GET('/session'))).csrf);
            return ask(api.POST('/session', { body }));
        },
        onSuccess: (session) => {
            keepToken(session.csrf);
            void keep(session);
            client.setQueryData(sessionQuestion().queryKey, session);
            onDone?.(session.user?.id ?? '');
        },
    });
    const problem = isProblem(signIn.error) ? signIn.error : null;
    const asksCode = code !== '' || problem?.at('code') !== undefined;
    const forgot = useMutation({
        mutationFn: async () => {
            keepToken((await ask(api.GET('/session'))).csrf);
            const { response, error } = await api.POST('/password-links', { body: { email } });
            if (!response.ok) {
                await ask(Promise.resolve({ error, response }));
            }
        },
    });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        signIn.mutate({ email, password, code: code.trim() || null });
    };
    return (
        <Box component="form" onSubmit={submit} noValidate sx={{ display: 'grid', gap: 4 }}>
            <TextField
                label={words.emailAddress}
                type="email"
                name="email"
                autoComplete="username"
                autoFocus={known === ''}
                value={email}
                onChange={(event) => setEmail(event.target.value)}
                error={problem?.at('email') !== undefined}
                helperText={problem?.at('email')}
            />
            <TextField
                label={words.password}
                type="password"
                name="password"
                autoComplete="current-password"
                autoFocus={known !== ''}
                value={password}
                onChange={(event) => setPassword(event.target.value)}
                error={problem?.at('password') !== undefined}
                helperText={problem?.at('password')}
            />
            {asksCode && (
                <TextField
                    label={words.codeForSignIn}
                    name="code"
                    autoComplete="one-time-code"
                    autoFocus
                    value={code}
                    onChange={(event) => setCode(event.target.value)}
                    error={problem?.at('code') !== undefined}
                    helperText={problem?.at('code')}
                    slotProps={{ htmlInput: { maxLength: 40 } }}
                />
            )}
            {problem && problem.status !== 422 && <Trouble error={problem} />}
            <Button type="submit" variant="contained" disabled={signIn.isPending}>
                {words.signIn}
            </Button>
            {known === '' && (
                <Button variant="text" onClick={() => forgot.mutate()} disabled={email === '' || forgot.isPending}>
                    {words.forgotPassword}
                </Button>
            )}
            {forgot.isSuccess && <Typography role="status">{words.linkOnItsWay}</Typography>}
            {forgot.error && <Trouble error={forgot.error} />}
        </Box>
    );
}
