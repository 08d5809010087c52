import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Choose, Write } from '../ui/Fields';
import { AskDialog } from '../ui/AskDialog';
import { FormDialog } from '../ui/FormDialog';
import { roleOf, roleOptions, useKeepAccounts } from './accounts';
import { words } from './words';

type Account = Schemas['AccountResource'];

export function Change({ account }: { account: Account }) {
    const keep = useKeepAccounts();
    const [typed, setTyped] = useState({ name: account.name, role: account.role });
    return (
        <FormDialog
            word={words.change}
            wordFor={words.changeOf(account.name)}
            title={account.email}
            done={words.save}
            onOpen={() => setTyped({ name: account.name, role: account.role })}
            save={async () =>
                keep(
                    await ask(
                        api.PUT('/accounts/{account}', { params: { path: { account: account.id } }, body: typed }),
                    ),
                )
            }
        >
            {(problem) => (
                <>
                    <Write
                        label={words.name}
                        value={typed.name}
                        onWrite={(name) => setTyped({ ...typed, name })}
                        problem={problem?.at('name')}
                    />
                    <Choose
                        label={words.role}
                        value={typed.role}
                        onChoose={(role) => setTyped({ ...typed, role: roleOf(role) })}
                        options={roleOptions}
                        error={problem?.at('role') !== undefined}
                        helperText={problem?.at('role') ?? problem?.at('hand_over_to') ?? words.roleChangeAbout}
                    />
                </>
            )}
        </FormDialog>
    );
}

export function Deactivate({ account, all }: { account: Account; all: Account[] }) {
    const keep = useKeepAccounts();
    const [to, setTo] = useState('');
    const others = all.filter(
        (one) => one.id !== account.id && one.deactivated_on === null && (one.role === 'lead' || one.role === 'keeper'),
    );
    return (
        <FormDialog
            word={words.deactivate}
            wordFor={words.deactivateOf(account.name)}
            title={words.deactivateOf(account.name)}
            done={words.deactivate}
            onOpen={() => setTo('')}
            save={async () =>
                keep(
                    await ask(
                        api.PUT('/accounts/{account}/deactivation', {
                            params: { path: { account: account.id } },
                            body: { hand_over_to: to || null },
                        }),
                    ),
                )
            }
        >
            {(problem) => (
                <>
                    <Typography>{words.deactivateAbout}</Typography>
                    <Choose
                        label={words.handOverTo}
                        value={to}
                        empty={words.nobody}
                        onChoose={setTo}
                        options={others.map((one) => [one.id, one.name] as const)}
                        error={problem?.at('hand_over_to') !== undefined}
                        helperText={problem?.at('hand_over_to')}
                    />
                </>
            )}
        </FormDialog>
    );
}

export function Activate({ account }: { account: Account }) {
    const keep = useKeepAccounts();
    return (
        <AskDialog
            word={words.activate}
            title={words.activateOf(account.name)}
            done={words.activate}
            about={words.activateAbout}
            save={async () =>
                keep(
                    await ask(api.PUT('/accounts/{account}/activation', { params: { path: { account: account.id } } })),
                )
            }
        />
    );
}

export function RemoveFactor({ account }: { account: Account }) {
    const keep = useKeepAccounts();
    return (
        <AskDialog
            word={words.removeFactor}
            title={words.removeFactorOf(account.name)}
            done={words.removeFactor}
            about={words.removeFactorAbout}
            save={async () =>
                keep(await ask(api.DELETE('/accounts/{account}/factor', { params: { path: { account: account.id } } })))
            }
        />
    );
}

export function Withdraw({ invitation }: { invitation: Schemas['InvitationResource'] }) {
    const keep = useKeepAccounts();
    return (
        <AskDialog
            word={words.withdraw}
            title={words.withdrawOf(invitation.name)}
            done={words.withdraw}
            about={words.withdrawAbout}
            save={async () =>
                keep(await ask(api.DELETE('/accounts/invitations/{id}', { params: { path: { id: invitation.id } } })))
            }
        />
    );
}
