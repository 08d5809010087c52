import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useIsFetching, type Query } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import type { Listing } from './useListing';
import { useSettled } from './useSettled';
import { words } from './words';

const ROWS = 50;

const isFirstAsked = (query: Query) => query.state.data === undefined;

/** Looks for what is typed, after a pause in typing. It is busy until the list below shows that. */
export function ShowOnly({ listing, label }: { listing: Listing; label?: string }) {
    const [text, setText] = useState(listing.get('q'));
    const settled = useSettled(text);
    const set = useRef(listing.set);
    const sent = useRef(settled);
    const isAsked = useIsFetching({ predicate: isFirstAsked }) > 0;
    useEffect(() => {
        set.current = listing.set;
    });
    useEffect(() => {
        if (settled !== sent.current) {
            sent.current = settled;
            set.current({ q: settled.trim() });
        }
    }, [settled]);
    return (
        <TextField
            label={label ?? words.showOnly}
            value={text}
            onChange={(event) => setText(event.target.value)}
            slotProps={{ htmlInput: { 'aria-busy': isAsked || text.trim() !== listing.get('q').trim() } }}
            sx={{ width: { xs: '100%', sm: 240 }, gridColumn: { xs: '1 / -1', lg: 'auto' } }}
        />
    );
}

/** A heading of a column by which the list is sorted when it is pressed; pressed again, the other way round. */
export function SortHead({
    listing,
    by,
    first = false,
    className,
    children,
}: {
    listing: Listing;
    by: string;
    /** Whether the list is sorted by it where nothing was asked for. */
    first?: boolean;
    className?: string;
    children: string;
}) {
    const isSorted = (listing.get('sort') || (first ? by : '')) === by;
    const isDown = isSorted && listing.get('order') === 'down';
    return (
        <th scope="col" className={className} aria-sort={isSorted ? (isDown ? 'descending' : 'ascending') : 'none'}>
            <Box
                component="button"
                type="button"
                onClick={() => listing.set({ sort: by, order: isSorted && !isDown ? 'down' : '' })}
                sx={{
                    font: 'inherit',
                    fontWeight: 700,
                    color: 'inherit',
                    bgcolor: 'transparent',
                    border: 0,
                    p: 0,
                    minHeight: 32,
                    cursor: 'pointer',
                    '&:hover': { textDecoration: 'underline' },
                }}
            >
                {children}
                {isSorted && (isDown ? ' ↓' : ' ↑')}
            </Box>
        </th>
    );
}

/** "51 to 100 of 420 items", with the pages before and after. */
export function Pager({
    page,
    listing,
    things,
}: {
    page: Schemas['PageOf'];
    listing: Listing;
    /** What is listed, of as many: "420 items". */
    things: string;
}) {
    if (page.pages < 2) {
        return null;
    }
    const from = (page.page - 1) * ROWS + 1;
    return (
        <Box
            component="nav"
            aria-label={words.pagesOf(things)}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mt: 3 }}
        >
            <Button disabled={page.page <= 1} onClick={() => listing.turn(page.page - 1)}>
                {words.previous}
            </Button>
            <span>{words.rows(from, Math.min(from + ROWS - 1, page.in_all), things)}</span>
            <Button disabled={page.page >= page.pages} onClick={() => listing.turn(page.page + 1)}>
                {words.next}
            </Button>
        </Box>
    );
}

/** All rows, as they are filtered and sorted, as a file for a spreadsheet. */
export function ExportSheet({ listing, path }: { listing: Listing; path: string }) {
    return (
        <Button
            component="a"
            download
            href={`/api${path}?${new URLSearchParams({ ...listing.asked, format: 'csv' }).toString()}`}
        >
            {words.exportSheet}
        </Button>
    );
}
