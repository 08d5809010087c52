import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, type ReactNode } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';
import { isProblem } from '../api/client';
import { words } from './words';

/** The page that is opened begins where the browser puts it. */
let isFirst = true;

interface PageProps {
    title: string;
    above?: ReactNode;
    beside?: ReactNode;
    children: ReactNode;
}

/** A screen: its heading, what can be done there, and its content. */
export function Page({ title, above, beside, children }: PageProps) {
    const { pathname } = useLocation();
    const came = useNavigationType();
    const cameBy = useRef(came);
    const heading = useRef<HTMLHeadingElement>(null);
    useEffect(() => {
        cameBy.current = came;
    });
    useEffect(() => {
        document.title = words.sarcina(title);
    }, [title]);
    useEffect(() => {
        // Whoever came here by a link goes on from the heading; who types into something is left there.
        if (!isFirst && document.activeElement?.matches('input, textarea, select') !== true) {
            heading.current?.focus({ preventScroll: true });
        }
        // A page begins at its top, wherever the one before was left; on the way back the browser knows where that was.
        if (!isFirst && cameBy.current !== NavigationType.Pop) {
            document.documentElement.scrollTop = 0;
        }
        isFirst = false;
    }, [pathname]);
    return (
        <Box component="main" sx={{ p: { xs: 4, md: 6 }, pb: { xs: 26, md: 8 }, maxWidth: 1680, mx: 'auto' }}>
            {above}
            <Box
                sx={{
                    display: 'flex',
                    flexWrap: 'wrap',
                    gap: 3,
                    alignItems: 'center',
                    justifyContent: 'space-between',
                    mb: 4,
                }}
            >
                <Typography variant="h1" ref={heading} tabIndex={-1} sx={{ '&:focus-visible': { outline: 'none' } }}>
                    {title}
                </Typography>
                {beside && <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>{beside}</Box>}
            </Box>
            {children}
        </Box>
    );
}

/** A sheet of paper on the canvas. */
export function Sheet({
    title,
    beside,
    children,
    id,
}: {
    title?: ReactNode;
    beside?: ReactNode;
    children: ReactNode;
    id?: string;
}) {
    return (
        <Box
            component="section"
            id={id}
            sx={{
                bgcolor: 'background.paper',
                border: 1,
                borderColor: 'divider',
                borderRadius: '6px',
                p: { xs: 3, md: 4 },
                mb: 4,
                minWidth: 0,
            }}
        >
            {(title ?? beside) && (
                <Box
                    sx={{
                        display: 'flex',
                        flexWrap: 'wrap',
                        gap: 2,
                        justifyContent: 'space-between',
                        alignItems: 'baseline',
                        mb: 2,
                    }}
                >
                    {title && <Typography variant="h2">{title}</Typography>}
                    {beside}
                </Box>
            )}
            {children}
        </Box>
    );
}

/** What to do first where a list is empty. */
export function Empty({ children }: { children: ReactNode }) {
    return <Typography sx={{ color: 'text.secondary', py: 3 }}>{children}</Typography>;
}

/** A question on its way, or what went wrong with it. */
export function Waiting({ error }: { error: unknown }) {
    if (isProblem(error) && error.status === 0) {
        return <NotOnDevice />;
    }
    if (error) {
        return <Trouble error={error} />;
    }
    return (
        <Box component="main" sx={{ p: 6, color: 'text.secondary' }} role="status">
            {words.reading}
        </Box>
    );
}

/** Says at once that a page cannot be opened without a network. */
function NotOnDevice() {
    return (
        <Box
            role="alert"
            sx={{
                border: 1,
                borderColor: 'text.secondary',
                bgcolor: 'background.paper',
                borderRadius: '6px',
                p: 3,
                m: 6,
            }}
        >
            <Typography sx={{ fontWeight: 700 }}>{words.notOnDevice}</Typography>
            <Typography>{words.connectToOpen}</Typography>
        </Box>
    );
}

export function Trouble({ error }: { error: unknown }) {
    const title = isProblem(error) ? error.title : words.somethingWentWrong;
    const detail = error instanceof Error ? error.message : words.loadThePageAgain;
    return (
        <Box
            role="alert"
            sx={{
                border: 1,
                borderLeft: 6,
                borderColor: 'error.main',
                bgcolor: 'background.paper',
                borderRadius: '6px',
                p: 3,
                my: 3,
            }}
        >
            <Typography sx={{ fontWeight: 700 }}>{title}</Typography>
            <Typography>{detail}</Typography>
            {isProblem(error) && error.changes.length > 0 && (
                <Box component="ul" sx={{ mt: 2, mb: 0, pl: 5 }}>
                    {error.changes.map((change) => (
                        <li key={change}>{change}</li>
                    ))}
                </Box>
            )}
        </Box>
    );
}

/** An item's caution, wherever the item is shown. */
export function Caution({ text }: { text: string | null }) {
    if (!text) {
        return null;
    }
    return (
        <Box
            component="span"
            sx={{ display: 'inline-flex', gap: 1, alignItems: 'baseline', fontSize: 13, color: 'text.primary' }}
        >
            <Box
                component="span"
                aria-hidden
                sx={{ fontWeight: 800, color: 'var(--mui-palette-verdict-ready_with_actions)' }}
            >
                ▲
            </Box>
            <span>{text}</span>
        </Box>
    );
}
