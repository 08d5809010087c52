import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { isPast } from '../ui/limits';
import { Sheet } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { words } from './words';

type Marks = Schemas['MarkResource'][];

const columns = 'minmax(88px, 2.6fr) repeat(13, minmax(30px, 1fr))';

const monthName = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });

function monthsFrom(day: string): string[] {
    const [year = 0, month = 1] = day.split('-').map(Number);
    return Array.from({ length: 13 }, (_, index) =>
        new Date(Date.UTC(year, month - 1 + index, 1)).toISOString().slice(0, 7),
    );
}

/** Thirteen months from left to right, a row for each place, a mark for each month's expiries and checks. */
export function Horizon({ today }: { today: Schemas['TodayResource'] }) {
    const [open, setOpen] = useState<{ anchor: HTMLElement; title: string; marks: Marks } | null>(null);
    const months = monthsFrom(today.from);
    return (
        <Sheet
            title={words.horizon}
            beside={
                <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                    {sayDay(today.as_of)} to {sayDay(today.until)}
                    {words.byPlace}
                </Typography>
            }
        >
            {/* The first column of each row is a heading; the rest is one cell a month. */}
            <Box role="table" aria-label={words.whatExpiresAndWhatIs} sx={{ overflowX: 'auto' }} tabIndex={0}>
                <Box
                    role="row"
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: columns,
                        alignItems: 'end',
                        minWidth: 500,
                    }}
                >
                    <Box role="columnheader" sx={{ fontSize: 13, color: 'text.secondary' }}>
                        {words.place}
                    </Box>
                    {months.map((month) => (
                        <Box
                            role="columnheader"
                            key={month}
                            sx={{ fontSize: 12, color: 'text.secondary', textAlign: 'center', lineHeight: 1.15, pb: 1 }}
                        >
                            {monthName.format(new Date(`${month}-01T00:00:00Z`)).replace('Sept', 'Sep')}
                            <br />
                            {month.endsWith('-01') || month === months[0] || month === months[12]
                                ? `’${month.slice(2, 4)}`
                                : '\u00a0'}
                        </Box>
                    ))}
                </Box>
                {today.horizon.map((row) => (
                    <Box
                        role="row"
                        key={row.place.id}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: columns,
                            borderTop: 1,
                            borderColor: 'divider',
                            minWidth: 500,
                            alignItems: 'center',
                        }}
                    >
                        <Box role="rowheader" sx={{ fontSize: 14, lineHeight: 1.2, py: 1.5, pr: 2 }}>
                            {row.place.name}
                        </Box>
                        {months.map((month) => {
                            // What is overdue stands in the month that runs.
                            const marks = row.marks.filter(
                                (mark) =>
                                    mark.day.startsWith(month) || (month === months[0] && isPast(mark.day, today.from)),
                            );
                            return (
                                <Box
                                    role="cell"
                                    key={month}
                                    sx={{
                                        display: 'grid',
                                        justifyItems: 'center',
                                        alignSelf: 'stretch',
                                        alignItems: 'center',
                                        borderLeft: 1,
                                        borderColor: 'divider',
                                    }}
                                >
                                    {marks.length > 0 && (
                                        <MonthMark
                                            marks={marks}
                                            label={`${row.place.name}, ${monthName.format(new Date(`${month}-01T00:00:00Z`))} ${month.slice(0, 4)}`}
                                            onOpen={setOpen}
                                        />
                                    )}
                                </Box>
                            );
                        })}
                    </Box>
                ))}
            </Box>
            {today.horizon_more > 0 && (
                <Typography variant="body2" sx={{ mt: 2 }}>
                    <Link to="/dates-ahead">{words.morePlaces(today.horizon_more)}</Link>
                </Typography>
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 16px', mt: 3, fontSize: 13 }}>
                <span>
                    <OverdueShape />
                    {words.aCheckIsOverdue}
                </span>
                <span>
                    <CheckShape />
                    {words.aCheckFallsDue}
                </span>
                <span>
                    <ExpiryShape />
                    {words.somethingExpires}
                </span>
            </Box>
            <Popover
                open={open !== null}
                anchorEl={open?.anchor}
                onClose={() => setOpen(null)}
                anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
                transformOrigin={{ vertical: 'top', horizontal: 'center' }}
            >
                {open && (
                    <Box sx={{ p: 4, maxWidth: 420, border: 1, borderColor: 'text.secondary', borderRadius: '6px' }}>
                        <Typography variant="h3">{open.title}</Typography>
                        {open.marks.map((mark) => (
                            <Box key={`${mark.day} ${mark.kind} ${mark.kit}`} sx={{ pt: 2, fontSize: 14 }}>
                                <strong>{sayDay(mark.day)}</strong>{' '}
                                <Box
                                    component={Link}
                                    to={`/kits/${mark.kit}`}
                                    sx={{ color: 'primary.main', fontWeight: 600 }}
                                >
                                    {mark.kit}
                                </Box>
                                {mark.texts.map((text) => (
                                    <div key={text}>{text}</div>
                                ))}
                            </Box>
                        ))}
                    </Box>
                )}
            </Popover>
        </Sheet>
    );
}

function MonthMark({
    marks,
    label,
    onOpen,
}: {
    marks: Marks;
    label: string;
    onOpen: (open: { anchor: HTMLElement; title: string; marks: Marks }) => void;
}) {
    const overdue = marks.filter((mark) => mark.is_overdue).length;
    const checks = marks.filter((mark) => mark.kind === 'check').length - overdue;
    const expiries = marks.filter((mark) => mark.kind === 'expiry').reduce((sum, mark) => sum + mark.texts.length, 0);
    const says = [
        overdue > 0 && words.overdueChecks(count(overdue, 'check')),
        checks > 0 && count(checks, 'check'),
        expiries > 0 && words.expiring(count(expiries, 'thing')),
    ]
        .filter(Boolean)
        .join(', ');
    return (
        <ButtonBase
            aria-label={`${label}: ${says}`}
            onClick={(event) => onOpen({ anchor: event.currentTarget, title: label, marks })}
            sx={{
                width: '100%',
                minHeight: 44,
                flexDirection: 'column',
                gap: '2px',
                fontSize: 12,
                borderRadius: '4px',
            }}
        >
            {overdue > 0 && <OverdueShape />}
            {checks > 0 && <CheckShape />}
            {expiries > 0 && (
                <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: '2px' }}>
                    <ExpiryShape />
                    {expiries > 1 && expiries}
                </Box>
            )}
        </ButtonBase>
    );
}

/** A filled triangle: told from a check to come by its shape. */
function OverdueShape() {
    return (
        <Box
            component="svg"
            viewBox="0 0 14 13"
            aria-hidden
            sx={{ width: 13, height: 12, verticalAlign: '-1px', color: 'var(--mui-palette-verdict-not_ready)' }}
        >
            <path d="M7 1l6 11H1z" fill="currentColor" />
        </Box>
    );
}

function CheckShape() {
    return (
        <Box
            component="span"
            aria-hidden
            sx={{
                display: 'inline-block',
                width: 11,
                height: 11,
                border: '2.5px solid',
                borderColor: 'primary.main',
                borderRadius: '50%',
                verticalAlign: '-1px',
            }}
        />
    );
}

function ExpiryShape() {
    return (
        <Box
            component="span"
            aria-hidden
            sx={{
                display: 'inline-block',
                width: 4,
                height: 13,
                bgcolor: 'ochre',
                borderRadius: '2px',
                verticalAlign: '-2px',
                mx: '2px',
            }}
        />
    );
}
