import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { useOutletContext } from 'react-router';
import { Confirm } from './Confirm';
import { Icon } from './Icon';
import { words } from './words';

export interface MenuEntry {
    word: string;
    onPress: () => void;
    /** What it throws away, as a question, and the word that does it: then it is asked first. */
    asks?: { question: string; word: string };
}

interface InHandProps {
    /** The pocket, or the last step. */
    title: string;
    /** Where it is in the walk: "5 of 11". */
    progress: string;
    /** What is being done: "Check QH-03 Tropical house box". */
    doing: string;
    /** How much of each pocket is done, in the order of the walk; `isHere` where one is. */
    strip: { key: string; isDone: boolean; isHere: boolean }[];
    /** The open kit, shown when the strip is unfolded. */
    picture: ReactNode;
    menu: MenuEntry[];
    children: ReactNode;
    bar: ReactNode;
}

/**
 * Work over an open bag, one pocket to a screen: on top where one is, with the open kit folded to a strip; at the thumb what goes on.
 * What discards is in the menu.
 */
export function InHand({ title, progress, doing, strip, picture, menu, children, bar }: InHandProps) {
    const [isUnfolded, setUnfolded] = useState(false);
    const heading = useRef<HTMLHeadingElement>(null);
    const frame = useOutletContext<{ setWorking: (on: boolean) => void } | null>();
    const pictureId = useId();
    useEffect(() => {
        // The whole screen is for the work: what stands around it comes back after it.
        frame?.setWorking(true);
        return () => frame?.setWorking(false);
    }, [frame]);
    useEffect(() => {
        document.title = words.sarcina(doing);
    }, [doing]);
    useEffect(() => {
        // The next pocket begins at its top, for the eye and for who listens.
        window.scrollTo(0, 0);
        heading.current?.focus({ preventScroll: true });
    }, [title]);
    return (
        <Box component="main" sx={{ px: 3, pt: 2, pb: 40 }}>
            <Box sx={{ display: 'flex', alignItems: 'start', gap: 2 }}>
                <Box sx={{ flex: 1, minWidth: 0 }}>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {doing}
                    </Typography>
                    <Typography
                        ref={heading}
                        variant="h1"
                        tabIndex={-1}
                        sx={{ fontSize: 22, '&:focus-visible': { outline: 'none' } }}
                    >
                        {title}
                        <Box component="span" sx={{ fontSize: 16, fontWeight: 500 }}>
                            , {progress}
                        </Box>
                    </Typography>
                </Box>
                <MoreMenu entries={menu} />
            </Box>
            <Button
                variant="text"
                aria-expanded={isUnfolded}
                aria-controls={pictureId}
                onClick={() => setUnfolded(!isUnfolded)}
                aria-label={isUnfolded ? words.foldTheKit : words.unfoldTheKit}
                sx={{ width: '100%', minHeight: 44, p: 1, display: 'flex', gap: '3px' }}
            >
                {strip.map((pocket) => (
                    <Box
                        key={pocket.key}
                        component="span"
                        sx={{
                            flex: 1,
                            height: pocket.isHere ? 20 : 12,
                            border: pocket.isHere ? '3px solid' : '1px solid',
                            borderColor: pocket.isHere ? 'primary.main' : 'text.secondary',
                            borderRadius: '2px 2px 5px 5px',
                            bgcolor: pocket.isDone ? 'text.secondary' : 'background.paper',
                        }}
                    />
                ))}
            </Button>
            <Box id={pictureId} sx={{ mb: 3 }}>
                {isUnfolded && picture}
            </Box>
            {children}
            <Box
                sx={{
                    position: 'fixed',
                    left: 0,
                    right: 0,
                    bottom: 0,
                    zIndex: 9,
                    bgcolor: 'background.paper',
                    borderTop: 1,
                    borderColor: 'text.secondary',
                    p: 2,
                    pb: 'calc(8px + env(safe-area-inset-bottom))',
                }}
            >
                {bar}
            </Box>
        </Box>
    );
}

function MoreMenu({ entries }: { entries: MenuEntry[] }) {
    const [at, setAt] = useState<HTMLElement | null>(null);
    const [asked, setAsked] = useState<MenuEntry | null>(null);
    return (
        <>
            <IconButton
                aria-label={words.moreToDo}
                aria-haspopup="menu"
                onClick={(event) => setAt(event.currentTarget)}
                sx={{ width: 44, height: 44 }}
            >
                <Icon name="more" />
            </IconButton>
            <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
                {entries.map((entry) => (
                    <MenuItem
                        key={entry.word}
                        sx={{ minHeight: 48 }}
                        onClick={() => {
                            setAt(null);
                            if (entry.asks) {
                                setAsked(entry);
                            } else {
                                entry.onPress();
                            }
                        }}
                    >
                        {entry.word}
                    </MenuItem>
                ))}
            </Menu>
            {asked?.asks && (
                <Confirm
                    {...asked.asks}
                    onClose={() => setAsked(null)}
                    onConfirm={() => {
                        setAsked(null);
                        asked.onPress();
                    }}
                />
            )}
        </>
    );
}
