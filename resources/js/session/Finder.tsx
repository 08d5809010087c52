import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { firstQuestions } from '../api/firstQuestions';
import { Icon } from '../ui/Icon';
import { useSettled } from '../ui/useSettled';
import { words } from './words';

const kinds = { kit: words.kit, item: words.item, place: words.place, lot: words.lot } as const;

/** Goes where a kit, an item, a place or a lot is. Focus with "/". */
export function Finder() {
    const navigate = useNavigate();
    const client = useQueryClient();
    const input = useRef<HTMLInputElement>(null);
    const [text, setText] = useState('');
    const [isOpen, setOpen] = useState(false);
    const [at, setAt] = useState(0);
    const typed = text.trim();
    const query = useSettled(typed);
    const { data, isPlaceholderData } = useQuery({
        ...firstQuestions.find(query),
        placeholderData: keepPreviousData,
    });
    const found = query === '' ? [] : (data?.found ?? []);

    useEffect(() => {
        const focus = (event: globalThis.KeyboardEvent) => {
            const target = event.target instanceof HTMLElement ? event.target : null;
            if (
                event.key === '/' &&
                !event.ctrlKey &&
                !event.metaKey &&
                !target?.closest('input, textarea, [contenteditable]')
            ) {
                event.preventDefault();
                input.current?.focus();
            }
        };
        window.addEventListener('keydown', focus);
        return () => window.removeEventListener('keydown', focus);
    }, []);

    useEffect(() => {
        document.getElementById(`found-${at}`)?.scrollIntoView({ block: 'nearest' });
    }, [at]);

    const go = (href: string) => {
        setOpen(false);
        setText('');
        input.current?.blur();
        void navigate(href);
    };
    // What is shown may have been found by less than is typed by now: that would open another kit.
    const goWhenFound = async () => {
        const answer = await client.query(firstQuestions.find(typed)).catch(() => undefined);
        // Only the first: no other of them was seen.
        const chosen = at === 0 ? answer?.found[0] : undefined;
        if (chosen && input.current?.value.trim() === typed && document.activeElement === input.current) {
            go(chosen.href);
        }
    };
    const onKeyDown = (event: KeyboardEvent) => {
        const chosen = found[at];
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            setAt((now) => Math.max(0, Math.min(found.length - 1, now + (event.key === 'ArrowDown' ? 1 : -1))));
        } else if (event.key === 'Enter' && typed !== '' && (typed !== query || !data || isPlaceholderData)) {
            event.preventDefault();
            void goWhenFound();
        } else if (event.key === 'Enter' && chosen) {
            event.preventDefault();
            go(chosen.href);
        } else if (event.key === 'Escape') {
            setOpen(false);
            input.current?.blur();
        }
    };
    const isShown = isOpen && query !== '' && data !== undefined;
    return (
        <Box
            sx={{ position: 'relative', flex: 1, maxWidth: 560 }}
            onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && setOpen(false)}
        >
            <Box
                sx={{
                    display: 'flex',
                    alignItems: 'center',
                    gap: 2,
                    px: 3,
                    minHeight: 44,
                    bgcolor: 'background.paper',
                    border: 1,
                    borderColor: 'text.secondary',
                    borderRadius: '6px',
                    '&:focus-within': {
                        borderColor: 'primary.main',
                        boxShadow: '0 0 0 1px var(--mui-palette-primary-main)',
                    },
                }}
            >
                <Icon name="find" size={18} />
                <InputBase
                    inputRef={input}
                    value={text}
                    placeholder={words.findAKitItemPlace}
                    onChange={(event) => {
                        setText(event.target.value);
                        setAt(0);
                        setOpen(true);
                    }}
                    onFocus={() => setOpen(true)}
                    onKeyDown={onKeyDown}
                    fullWidth
                    sx={{ height: 44 }}
                    inputProps={{
                        role: 'combobox',
                        'aria-label': words.findAKitItemPlace,
                        'aria-expanded': isShown,
                        'aria-controls': 'found',
                        'aria-activedescendant': isShown && found[at] ? `found-${at}` : undefined,
                        autoComplete: 'off',
                        maxLength: 120,
                    }}
                />
                <Box
                    component="kbd"
                    aria-hidden
                    sx={{
                        display: { xs: 'none', md: 'block' },
                        border: 1,
                        borderColor: 'divider',
                        borderRadius: '4px',
                        px: 2,
                        fontFamily: 'inherit',
                        color: 'text.secondary',
                    }}
                >
                    /
                </Box>
            </Box>
            {isShown && (
                <Box
                    id="found"
                    role="listbox"
                    aria-label={words.found}
                    sx={{
                        position: 'absolute',
                        zIndex: 15,
                        top: '100%',
                        left: 0,
                        right: 0,
                        mt: 1,
                        bgcolor: 'background.paper',
                        border: 1,
                        borderColor: 'text.secondary',
                        borderRadius: '6px',
                        maxHeight: '70dvh',
                        overflowY: 'auto',
                        p: 1,
                    }}
                >
                    {found.length === 0 && (
                        <Box role="option" aria-selected={false} sx={{ p: 3, color: 'text.secondary' }}>
                            {words.nothingIsCalled}
                            {query}
                            {words.tryAKitsCodePart}
                        </Box>
                    )}
                    {found.map((one, index) => (
                        <Box
                            key={`${one.kind} ${one.href} ${one.title}`}
                            id={`found-${index}`}
                            role="option"
                            aria-selected={index === at}
                            onMouseDown={(event) => event.preventDefault()}
                            onClick={() => go(one.href)}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: '52px minmax(0, 1fr)',
                                gap: 2,
                                p: 2,
                                minHeight: 44,
                                alignItems: 'center',
                                borderRadius: '4px',
                                cursor: 'pointer',
                                bgcolor: index === at ? 'canvas' : 'transparent',
                            }}
                        >
                            <Box component="span" sx={{ fontSize: 13, color: 'text.secondary' }}>
                                {kinds[one.kind]}
                            </Box>
                            <span>
                                <strong>{one.title}</strong>
                                <Box component="span" sx={{ color: 'text.secondary', ml: 2, fontSize: 14 }}>
                                    {one.detail}
                                </Box>
                            </span>
                        </Box>
                    ))}
                </Box>
            )}
        </Box>
    );
}
