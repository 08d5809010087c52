import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { Notes } from '../pack/Notes';
import { pocketName } from '../pack/VerdictSheet';
import { InHand } from '../ui/InHand';
import { OpenKit } from '../ui/OpenKit';
import { ShiftVerdicts } from '../ui/ShiftVerdicts';
import { VerdictShape } from '../ui/VerdictMark';
import { verdictWords } from '../ui/words';
import { progress } from './draft';
import { isOfLooked } from './looked';
import { FinishSheet } from './FinishSheet';
import { PocketLines } from './PocketLines';
import { FINISH, useWalk, type WalkProps } from './Walk';
import { words } from './words';

const stay = () => undefined;

/** The full check in hand: one pocket to a screen, one press where all is as recorded. */
export function WalkInHand({ kit, draft, change, onLeave }: WalkProps) {
    const navigate = useNavigate();
    const walk = useWalk({ kit, draft, change }, stay);
    const { chosen, pockets, verdict } = walk;
    const isEnd = chosen === FINISH;
    const { done, all } = isEnd ? walk.all : progress(draft, kit, chosen);
    return (
        <InHand
            doing={words.check3(kit.code, kit.name)}
            title={isEnd ? words.finish : pocketName(kit.leaves, chosen)}
            progress={words.of2(done, all)}
            strip={[...pockets, FINISH].map((pocket) => ({
                key: pocket,
                isHere: pocket === chosen,
                isDone: pocket !== FINISH && walk.isDone(draft, pocket),
            }))}
            picture={
                <OpenKit
                    leaves={kit.leaves}
                    lines={verdict.lines}
                    selected={chosen}
                    onSelect={walk.go}
                    isLooked={(line) => walk.look.looked.has(line.code)}
                    note={(pocket) => {
                        const own = progress(draft, kit, pocket);
                        return own.done === own.all ? words.countedWord : words.of2(own.done, own.all);
                    }}
                />
            }
            menu={[
                { word: words.finishNow, onPress: () => walk.go(FINISH) },
                { word: words.leaveForNow, onPress: () => void navigate(`/kits/${kit.code}`) },
                {
                    word: words.discardCheck,
                    asks: { question: words.discardsWhatWasCounted, word: words.discardCounts },
                    onPress: onLeave,
                },
            ]}
            bar={
                <>
                    <Box
                        role="status"
                        aria-label={words.statusWhileCounting}
                        aria-busy={walk.isBehind}
                        sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: isEnd ? 0 : 2, minWidth: 0 }}
                    >
                        {walk.error ? (
                            <Typography sx={{ fontWeight: 700 }}>{words.noStatusForWhatYou}</Typography>
                        ) : (
                            <>
                                <VerdictShape
                                    verdict={walk.look.isJudged ? verdict.verdict : null}
                                    isOpen={!walk.look.isJudged}
                                    size={20}
                                />
                                <Typography sx={{ fontWeight: 700, whiteSpace: 'nowrap' }}>
                                    {walk.look.isJudged ? verdictWords[verdict.verdict] : words.noStatusYet}
                                </Typography>
                                <Typography variant="body2" sx={{ color: 'text.secondary', overflowWrap: 'anywhere' }}>
                                    {walk.all.all > walk.all.done
                                        ? words.countedOf(walk.all.done, walk.all.all)
                                        : words.asCounted}
                                </Typography>
                            </>
                        )}
                    </Box>
                    {!isEnd && (
                        <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: 2 }}>
                            <Button
                                variant="contained"
                                onClick={walk.wholePocket}
                                disabled={walk.isBehindSeal}
                                sx={{ minHeight: 56 }}
                            >
                                {words.wholePocketAsRecorded}
                            </Button>
                            <Button id="next" onClick={() => walk.next()} sx={{ minHeight: 56, px: 4 }}>
                                {words.nextWord}
                            </Button>
                        </Box>
                    )}
                </>
            }
        >
            {isEnd ? (
                <>
                    <Notes notes={kit.notes} of={kit.code} />
                    {walk.look.isJudged && <ShiftVerdicts shifts={verdict.shifts} />}
                    {verdict.reasons
                        .filter((reason) => reason.severity !== 'note' && isOfLooked(reason, walk.look))
                        .map((reason, at) => (
                            <Typography key={at} variant="body2" sx={{ mb: 1 }}>
                                {reason.text}
                            </Typography>
                        ))}
                    <FinishSheet
                        kit={kit}
                        draft={draft}
                        left={walk.all.all - walk.all.done}
                        change={change}
                        onLeave={null}
                    />
                </>
            ) : (
                <PocketLines
                    key={chosen}
                    kit={kit}
                    draft={draft}
                    pocket={chosen}
                    lines={verdict.lines}
                    change={change}
                    onWhole={null}
                    onNext={() => walk.next()}
                />
            )}
        </InHand>
    );
}
