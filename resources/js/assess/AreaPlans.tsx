import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { Empty, Sheet, Trouble } from '../ui/Page';
import { sayDay, sayList, sayMoney } from '../ui/words';
import { keptAnswers } from './answersKept';
import { ShiftRows } from './CoverTable';
import { OverrideDialog, type Overriding } from './OverrideDialog';
import { words } from './words';

interface AreaPlansProps {
    site: Schemas['AssessmentResource'];
    area: Schemas['AreaResource'];
    mayOverride: boolean;
}

const plans = [
    { plan: 'least', title: words.minimumProvision, detail: words.theLeastForTheAnswers },
    { plan: 'full', title: words.fullProvision, detail: words.aKitOfBaseSize },
] as const;

/** What follows from the answers: both plans of the area, every figure with its reason, its list, its cost and where it hangs. */
export function AreaPlans({ site, area, mayOverride }: AreaPlansProps) {
    const [overriding, setOverriding] = useState<Overriding | null>(null);
    return (
        <Sheet title={words.whatNeeds(area.name)}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' },
                }}
            >
                {plans.map(({ plan, title, detail }) => (
                    <Box key={plan} component="section" aria-label={title}>
                        <Typography variant="h3">
                            {title}
                            {site.chosen === plan && words.chosen}
                        </Typography>
                        <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                            {detail}
                        </Typography>
                        {area[plan].parts.length === 0 && <Empty>{words.nobodyIsThereNoKit}</Empty>}
                        {area[plan].parts.map((part) => (
                            <PartRow
                                key={part.wanted}
                                part={part}
                                currency={site.currency}
                                onOverride={mayOverride ? () => setOverriding({ plan, part }) : undefined}
                            />
                        ))}
                        <Typography sx={{ mt: 2, fontWeight: 700 }}>
                            {sayMoney(area[plan].cost, site.currency)}
                            {area[plan].unpriced > 0 && (
                                <Typography component="span" variant="caption">
                                    {' '}
                                    and {area[plan].unpriced}
                                    {words.withoutAPrice}
                                </Typography>
                            )}
                        </Typography>
                    </Box>
                ))}
            </Box>
            {mayOverride && (
                <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mt: 3 }}>
                    <Button size="small" onClick={() => setOverriding({ plan: 'least', part: null })}>
                        {words.addAKitOrModule}
                    </Button>
                    <RemoveArea area={area} />
                </Box>
            )}
            {area.cover.length > 0 && (
                <>
                    <Typography variant="h3" sx={{ mt: 4 }}>
                        {words.firstAiders}
                    </Typography>
                    <ShiftRows rows={area.cover} />
                    <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                        {words.theResponsiblePersonDecidesHow}
                    </Typography>
                </>
            )}
            {overriding && <OverrideDialog area={area} overriding={overriding} onClose={() => setOverriding(null)} />}
        </Sheet>
    );
}

interface PartRowProps {
    part: Schemas['PartResource'];
    currency: string;
    onOverride: (() => void) | undefined;
}

function PartRow({ part, currency, onOverride }: PartRowProps) {
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2, mt: 2 }}>
            <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, alignItems: 'baseline' }}>
                <strong>
                    {part.count} × {part.title}
                </strong>
                <span>
                    {part.each === null ? words.noListChosen : words.each(sayMoney(part.each, currency))}
                    {part.unpriced > 0 && '*'}
                </span>
            </Box>
            <Typography variant="body2">{part.because}</Typography>
            {part.override && (
                <Box sx={{ my: 1, pl: 3, borderLeft: 4, borderColor: 'ochre' }}>
                    <Typography variant="body2">
                        <strong>
                            {part.count}
                            {words.insteadOf}
                            {part.calculated}:
                        </strong>{' '}
                        {part.override.reason} ({part.override.by}, {sayDay(part.override.on)})
                    </Typography>
                </Box>
            )}
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {part.list && (
                    <>
                        {words.list}{' '}
                        <Link to={`/lists/${part.list.id}`} style={{ color: 'inherit' }}>
                            {sayList(part.list)}
                        </Link>
                        {part.list.confirmed ? '' : ' (unconfirmed)'};{' '}
                    </>
                )}
                {part.where}.
            </Typography>
            {onOverride && (
                <Button
                    size="small"
                    variant="text"
                    onClick={onOverride}
                    aria-label={`${part.override ? words.changeTheFigure : words.override}: ${part.title}`}
                    sx={{ ml: -2 }}
                >
                    {part.override ? words.changeTheFigure : words.override}
                </Button>
            )}
        </Box>
    );
}

function RemoveArea({ area }: { area: Schemas['AreaResource'] }) {
    const client = useQueryClient();
    const [isSure, setIsSure] = useState(false);
    const remove = useMutation({
        mutationFn: () => ask(api.DELETE('/areas/{area}', { params: { path: { area: area.id } } })),
        onSuccess: (now) => {
            // Answers that were on their way have no area any more.
            keptAnswers.drop(area.id);
            client.setQueryData(['assessment', now.id], now);
        },
    });
    return (
        <>
            {!isSure && (
                <Button size="small" onClick={() => setIsSure(true)}>
                    {words.removeThisArea}
                </Button>
            )}
            {isSure && (
                <>
                    <Button size="small" color="error" onClick={() => remove.mutate()} disabled={remove.isPending}>
                        {words.remove}
                        {area.name}
                        {words.andItsAnswers}
                    </Button>
                    <Button size="small" onClick={() => setIsSure(false)}>
                        {words.cancel}
                    </Button>
                </>
            )}
            {remove.error && <Trouble error={remove.error} />}
        </>
    );
}
