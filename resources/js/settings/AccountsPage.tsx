import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Tick, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Waiting } from '../ui/Page';
import { count, sayDay, sayInstant } from '../ui/words';
import { Activate, Change, Deactivate, RemoveFactor, Withdraw } from './AccountChanges';
import { roleOf, roleOptions, roles, useKeepAccounts, type Role } from './accounts';
import { useSession } from '../session/useSession';
import { words } from './words';

type Account = Schemas['AccountResource'];

/** Who signs in and what they may do; invitations that wait. */
export default function AccountsPage() {
    const { data, error } = useQuery(questions.accounts());
    const { timeZone } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page title={words.peopleAndRoles} beside={<Invite />}>
            <Box sx={{ maxWidth: 980 }}>
                {data.link && (
                    <Notice>
                        <strong>{words.handOverThisLink}</strong> {words.linkIsShownOnce}
                        <Box sx={{ overflowWrap: 'anywhere', fontFamily: 'monospace', mt: 1 }}>{data.link}</Box>
                    </Notice>
                )}
                <Sheet title={count(data.accounts.length, 'account')}>
                    {data.accounts.map((account) => (
                        <One key={account.id} account={account} all={data.accounts} />
                    ))}
                </Sheet>
                {data.invitations.length > 0 && (
                    <Sheet title={words.invited(data.invitations.length)}>
                        {data.invitations.map((one) => (
                            <Box
                                key={one.id}
                                sx={{ display: 'flex', gap: 2, borderTop: 1, borderColor: 'divider', py: 1.5 }}
                            >
                                <Box sx={{ flex: 1, minWidth: 0 }}>
                                    <strong>{one.name}</strong>, {words.roles[one.role]}
                                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                        {words.invitationUntil(one.email, sayInstant(one.until, timeZone))}
                                    </Typography>
                                </Box>
                                <Withdraw invitation={one} />
                            </Box>
                        ))}
                    </Sheet>
                )}
                <Sheet title={words.whatRolesMay}>
                    {roles.map((role) => (
                        <Typography key={role} sx={{ mb: 1 }}>
                            <strong>{words.roles[role]}</strong>: {words.mayDo[role]}
                        </Typography>
                    ))}
                </Sheet>
            </Box>
        </Page>
    );
}

function Invite() {
    const keep = useKeepAccounts();
    const [typed, setTyped] = useState({ name: '', email: '', role: 'keeper' as Role, by_mail: true });
    return (
        <FormDialog
            word={words.invite}
            look="contained"
            title={words.inviteSomebody}
            done={words.invite}
            onOpen={() => setTyped({ name: '', email: '', role: 'keeper', by_mail: true })}
            save={async () => keep(await ask(api.POST('/accounts/invitations', { body: typed })))}
        >
            {(problem) => (
                <>
                    <Write
                        label={words.name}
                        value={typed.name}
                        onWrite={(name) => setTyped({ ...typed, name })}
                        problem={problem?.at('name')}
                    />
                    <Write
                        label={words.emailAddress}
                        type="email"
                        value={typed.email}
                        onWrite={(email) => setTyped({ ...typed, email })}
                        problem={problem?.at('email')}
                    />
                    <Choose
                        label={words.role}
                        value={typed.role}
                        onChoose={(role) => setTyped({ ...typed, role: roleOf(role) })}
                        options={roleOptions}
                        helperText={words.mayDo[typed.role]}
                    />
                    <Tick
                        label={words.sendByMail}
                        checked={typed.by_mail}
                        onTick={(by_mail) => setTyped({ ...typed, by_mail })}
                    />
                </>
            )}
        </FormDialog>
    );
}

function One({ account, all }: { account: Account; all: Account[] }) {
    const { timeZone } = useSession();
    const isActive = account.deactivated_on === null;
    return (
        <Box
            role="group"
            aria-label={account.name}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: '8px 16px', borderTop: 1, borderColor: 'divider', py: 1.5 }}
        >
            <Box sx={{ flex: '1 1 300px', minWidth: 0 }}>
                <strong>{account.name}</strong>, {words.roles[account.role]}
                {!isActive && ` · ${words.endedOn(sayDay(account.deactivated_on ?? ''))}`}
                <Typography variant="body2" sx={{ color: 'text.secondary', overflowWrap: 'anywhere' }}>
                    {[
                        account.email,
                        account.signed_in_at === null
                            ? words.neverSignedIn
                            : words.lastSignedIn(sayInstant(account.signed_in_at, timeZone)),
                        account.has_factor ? words.withFactor : words.withoutFactor,
                        account.kits > 0 && words.responsibleFor(count(account.kits, 'kit')),
                        account.tasks > 0 && count(account.tasks, 'open task'),
                    ]
                        .filter(Boolean)
                        .join(' · ')}
                </Typography>
            </Box>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'start' }}>
                {isActive ? (
                    <>
                        <Change account={account} />
                        {account.has_factor && <RemoveFactor account={account} />}
                        <Deactivate account={account} all={all} />
                    </>
                ) : (
                    <Activate account={account} />
                )}
            </Box>
        </Box>
    );
}
