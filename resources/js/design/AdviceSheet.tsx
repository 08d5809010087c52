import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Empty, Sheet } from '../ui/Page';
import type { Chosen } from './chosen';
import type { Draft } from './packing';
import { words } from './words';

interface AdviceSheetProps {
    advice: Schemas['ForeseenAdvice'][];
    draft: Draft;
    change: (to: (draft: Draft) => Draft, what?: string) => void;
    onShow: (chosen: Chosen) => void;
}

/** What a colleague would say about how it is packed: each with its reason, to be set aside with one. */
export function AdviceSheet({ advice, draft, change, onShow }: AdviceSheetProps) {
    const open = advice.filter((one) => one.set_aside === null);
    const aside = advice.filter((one) => one.set_aside !== null);
    const shown = (one: Schemas['ForeseenAdvice']): Chosen =>
        one.compartment !== null
            ? { kind: 'compartment', id: one.compartment }
            : one.line !== null
              ? {
                    kind: 'line',
                    code: one.line,
                    from: draft.placements.find((placement) => placement.line === one.line)?.compartment ?? null,
                }
              : null;
    return (
        <Sheet title={words.advice(open.length)}>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.adviceAbout}
            </Typography>
            {advice.length === 0 && <Empty>{words.noAdvice}</Empty>}
            <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
                {[...open, ...aside].map((one) => (
                    <Box
                        component="li"
                        key={one.about}
                        sx={{
                            borderTop: 1,
                            borderColor: 'divider',
                            py: 1.5,
                            color: one.set_aside === null ? 'text.primary' : 'text.secondary',
                        }}
                    >
                        <Typography variant="body2">{one.text}</Typography>
                        {one.set_aside !== null && (
                            <Typography variant="body2" sx={{ fontStyle: 'italic' }}>
                                {words.setAsideBecause(one.set_aside)}
                            </Typography>
                        )}
                        <Box sx={{ display: 'flex', gap: 1 }}>
                            {shown(one) !== null && (
                                <Button
                                    size="small"
                                    variant="text"
                                    aria-label={words.showOf(one.text)}
                                    onClick={() => onShow(shown(one))}
                                >
                                    {words.show}
                                </Button>
                            )}
                            {one.set_aside === null ? (
                                <SetAside one={one} change={change} />
                            ) : (
                                <Button
                                    size="small"
                                    variant="text"
                                    aria-label={words.takeUpAgainOf(one.text)}
                                    onClick={() =>
                                        change((now) => ({
                                            ...now,
                                            set_aside: now.set_aside.filter((other) => other.about !== one.about),
                                        }))
                                    }
                                >
                                    {words.takeUpAgain}
                                </Button>
                            )}
                        </Box>
                    </Box>
                ))}
            </Box>
        </Sheet>
    );
}

function SetAside({ one, change }: { one: Schemas['ForeseenAdvice']; change: AdviceSheetProps['change'] }) {
    const [reason, setReason] = useState('');
    return (
        <FormDialog
            word={words.setAside}
            wordFor={words.setAsideOf(one.text)}
            look="text"
            title={words.setAsideTitle}
            done={words.setAside}
            isReady={reason.trim() !== ''}
            onOpen={() => setReason('')}
            save={() => {
                change((now) => ({
                    ...now,
                    set_aside: [
                        ...now.set_aside.filter((other) => other.about !== one.about),
                        { about: one.about, reason: reason.trim() },
                    ],
                }));
                return Promise.resolve();
            }}
        >
            {() => (
                <>
                    <Typography>{one.text}</Typography>
                    <Write
                        label={words.why}
                        value={reason}
                        onWrite={setReason}
                        slotProps={{ htmlInput: { maxLength: 200 } }}
                    />
                </>
            )}
        </FormDialog>
    );
}
