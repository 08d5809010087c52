import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { useSession } from '../session/useSession';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { words } from './words';

type Design = Schemas['DesignResource'];

const units = ['days', 'weeks', 'months'] as const;

/** How the kits of each design are held: what becomes of pieces past their date, and when they are checked. */
export default function PoliciesPage() {
    const { data: designs, error } = useQuery(designQuestions.designs());
    const { may } = useSession();
    if (!designs) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.policies}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.policiesAbout}</Typography>}
        >
            <Sheet title={words.policiesByDesign}>
                {designs.length === 0 ? (
                    <Empty>{words.noDesignsYet}</Empty>
                ) : (
                    designs.map((design) => (
                        <Box
                            key={design.id}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '240px minmax(0, 1fr) auto' },
                                gap: '4px 24px',
                                borderTop: 1,
                                borderColor: 'divider',
                                py: 3,
                            }}
                        >
                            <div>
                                <strong>{design.name}</strong>
                                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                    {words.editionOf(design.edition.number)}
                                    {design.behind.length > 0 && (
                                        <>
                                            {words.keepEarlier}
                                            {design.behind.map((kit, at) => (
                                                <span key={kit}>
                                                    {at > 0 && ', '}
                                                    <Link to={`/kits/${kit}/adoption`} style={{ color: 'inherit' }}>
                                                        {kit}
                                                    </Link>
                                                </span>
                                            ))}
                                        </>
                                    )}
                                </Typography>
                            </div>
                            <div>
                                <Typography>{words.checkedWhen(sayWhen(design))}</Typography>
                                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                    {words.howHeld(
                                        words.expiries[design.policy.expiry],
                                        words.days(design.policy.margin_days),
                                        design.sealed,
                                    )}
                                </Typography>
                            </div>
                            <Box
                                sx={{
                                    justifySelf: 'start',
                                    display: 'flex',
                                    flexWrap: 'wrap',
                                    alignItems: 'start',
                                    gap: 2,
                                }}
                            >
                                {may('plan') && <ChangePolicy design={design} />}
                                <Button
                                    component={Link}
                                    to={`/designs/${design.id}/coping`}
                                    aria-label={words.whatDealsWith(design.name)}
                                >
                                    {words.whatCanItDealWith}
                                </Button>
                            </Box>
                        </Box>
                    ))
                )}
            </Sheet>
        </Page>
    );
}

function sayWhen({ policy }: Design): string {
    return [
        policy.every_unit === null || policy.every_count === null
            ? ''
            : words.every(policy.every_count, policy.every_unit),
        policy.seasons.length === 0 ? '' : words.onDays(policy.seasons.map(sayMonthDay).join(', ')),
        policy.after_use ? words.afterUse : '',
        policy.grace_days > 0 ? words.overdueAfter(policy.grace_days) : '',
    ]
        .filter(Boolean)
        .join('; ');
}

/** "03-01" as "1 March". */
function sayMonthDay(day: string): string {
    return new Date(`2028-${day}T00:00:00Z`).toLocaleDateString('en-GB', {
        day: 'numeric',
        month: 'long',
        timeZone: 'UTC',
    });
}

function ChangePolicy({ design }: { design: Design }) {
    const client = useQueryClient();
    const { policy } = design;
    const now = {
        expiry: policy.expiry as string,
        margin_days: String(policy.margin_days),
        grace_days: String(policy.grace_days),
        not_ready_after_days: String(policy.not_ready_after_days ?? ''),
        every_unit: policy.every_unit ?? '',
        every_count: String(policy.every_count ?? ''),
        before_events: policy.before_events,
        after_use: policy.after_use,
        sealed: design.sealed,
    };
    const [typed, setTyped] = useState(now);
    const number = (text: string) => (/^\d{1,4}$/.test(text.trim()) ? Number(text.trim()) : -1);
    return (
        <FormDialog
            word={words.change}
            wordFor={words.changePolicyOf(design.name)}
            look="outlined"
            title={words.policyOf(design.name)}
            done={words.publishEdition(design.edition.number + 1)}
            onOpen={() => setTyped(now)}
            save={async () => {
                await ask(
                    api.PUT('/designs/{design}/policy', {
                        params: { path: { design: design.id } },
                        body: {
                            edition: design.edition.id,
                            expiry: typed.expiry === 'reserve' ? 'reserve' : 'strict',
                            margin_days: number(typed.margin_days),
                            grace_days: number(typed.grace_days),
                            not_ready_after_days:
                                typed.not_ready_after_days.trim() === '' ? null : number(typed.not_ready_after_days),
                            every_unit: units.find((one) => one === typed.every_unit) ?? null,
                            every_count: typed.every_unit === '' ? null : number(typed.every_count),
                            before_events: typed.before_events,
                            after_use: typed.after_use,
                            sealed: typed.sealed,
                        },
                    }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Typography>{words.policyChangeAbout}</Typography>
                    <Row columns="1fr 1fr">
                        <Choose
                            label={words.checkEvery}
                            value={typed.every_unit}
                            empty={words.noInterval}
                            onChoose={(every_unit) =>
                                setTyped({ ...typed, every_unit: units.find((one) => one === every_unit) ?? '' })
                            }
                            options={units.map((unit) => [unit, words.units[unit]] as const)}
                            error={problem?.at('every_unit') !== undefined}
                            helperText={problem?.at('every_unit')}
                        />
                        {typed.every_unit !== '' && (
                            <Write
                                label={words.howMany}
                                value={typed.every_count}
                                onWrite={(every_count) => setTyped({ ...typed, every_count })}
                                problem={problem?.at('every_count')}
                            />
                        )}
                    </Row>
                    <Write
                        label={words.graceDays}
                        value={typed.grace_days}
                        onWrite={(grace_days) => setTyped({ ...typed, grace_days })}
                        problem={problem?.at('grace_days')}
                    />
                    <Write
                        label={words.notReadyAfter}
                        help={words.notReadyAfterHelp}
                        value={typed.not_ready_after_days}
                        onWrite={(not_ready_after_days) => setTyped({ ...typed, not_ready_after_days })}
                        problem={problem?.at('not_ready_after_days')}
                    />
                    <Choose
                        label={words.pastTheirDate}
                        value={typed.expiry}
                        onChoose={(expiry) => setTyped({ ...typed, expiry })}
                        options={(['strict', 'reserve'] as const).map((one) => [one, words.expiries[one]] as const)}
                    />
                    <Write
                        label={words.marginDays}
                        value={typed.margin_days}
                        onWrite={(margin_days) => setTyped({ ...typed, margin_days })}
                        problem={problem?.at('margin_days')}
                    />
                    <Tick
                        label={words.afterUseTick}
                        checked={typed.after_use}
                        onTick={(after_use) => setTyped({ ...typed, after_use })}
                    />
                    <Tick
                        label={words.sealedTick}
                        checked={typed.sealed}
                        onTick={(sealed) => setTyped({ ...typed, sealed })}
                    />
                </>
            )}
        </FormDialog>
    );
}
