import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, isProblem, keepToken } from '../api/client';
import { Write } from '../ui/Fields';
import { Trouble } from '../ui/Page';
import { Doorway } from './Doorway';
import { words } from './words';

/** What a link leads to that is used once: an invitation, or a password to be set anew. */
export default function WelcomePage({ secret }: { secret: string }) {
    const { data: link, error } = useQuery({
        queryKey: ['link', secret],
        queryFn: () => ask(api.GET('/links/{secret}', { params: { path: { secret } } })),
        retry: false,
        staleTime: Infinity,
    });
    const [name, setName] = useState<string | null>(null);
    const [password, setPassword] = useState('');
    const save = useMutation({
        mutationFn: async () => {
            keepToken((await ask(api.GET('/session'))).csrf);
            return ask(
                api.POST('/links/{secret}', {
                    params: { path: { secret } },
                    body: { name: link?.kind === 'invitation' ? (name ?? link.name) : null, password },
                }),
            );
        },
    });
    useEffect(() => {
        document.title = words.signInSarcina;
    }, []);
    const problem = isProblem(save.error) ? save.error : null;
    if (error) {
        return (
            <Doorway title={words.linkIsGone} about={words.linkIsGoneAbout}>
                <ToSignIn />
            </Doorway>
        );
    }
    if (save.data) {
        return (
            <Doorway title={words.passwordIsSet} about={words.signInWith(save.data.email)}>
                <ToSignIn />
            </Doorway>
        );
    }
    return (
        <Doorway
            title={link?.kind === 'password' ? words.setANewPassword : words.welcomeTo(link?.organisation ?? '')}
            about={link && words.yourAddress(link.email)}
        >
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    save.mutate();
                }}
                sx={{ display: 'grid', gap: 4 }}
            >
                {link?.kind === 'invitation' && (
                    <Write
                        label={words.yourName}
                        value={name ?? link.name}
                        onWrite={setName}
                        problem={problem?.at('name')}
                        help={words.yourNameHelp}
                    />
                )}
                <Write
                    label={words.password}
                    type="password"
                    autoComplete="new-password"
                    value={password}
                    onWrite={setPassword}
                    problem={problem?.at('password')}
                    help={words.passwordHelp}
                />
                {problem && problem.status !== 422 && <Trouble error={problem} />}
                <Button
                    type="submit"
                    variant="contained"
                    disabled={!link || save.isPending}
                    sx={{ justifySelf: 'start' }}
                >
                    {words.savePassword}
                </Button>
            </Box>
        </Doorway>
    );
}

function ToSignIn() {
    return (
        <Typography>
            <a href="/" style={{ color: 'inherit', fontWeight: 700 }}>
                {words.toSignIn}
            </a>
        </Typography>
    );
}
