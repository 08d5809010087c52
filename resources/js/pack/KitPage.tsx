import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { newest } from '../api/newest';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { OfflineCopy } from '../ui/OfflineCopy';
import { OpenKit, StitchKey } from '../ui/OpenKit';
import { Page, Sheet, Waiting } from '../ui/Page';
import { VerdictMark } from '../ui/VerdictMark';
import { sayDay, sayInstant, sayList, sayScope } from '../ui/words';
import { ListWarning } from '../lists/ListWarning';
import { Notice } from '../ui/Notice';
import { Alike } from './Alike';
import { KitActions } from './KitActions';
import { Modules } from './Modules';
import { Notes } from './Notes';
import { NotStaged } from './NotStaged';
import { PocketContents } from './PocketContents';
import { SealDialog } from './SealDialog';
import { Shortfalls } from './Shortfalls';
import { Unsettled } from './Unsettled';
import { VerdictSheet } from './VerdictSheet';
import { TwoColumns } from '../ui/TwoColumns';
import { KitSettings } from './KitSettings';
import { WhoAnswers } from './KitTasks';
import { words } from './words';

/** One kit: its picture, what is in each pocket, its verdict with reasons, its last check and its place. */
export default function KitPage() {
    const { code = '' } = useParams();
    const answer = useQuery(questions.kit(code));
    const [kit, error] = [newest(answer), answer.error];
    const { may, timeZone } = useSession();
    const { data: duties } = useQuery({
        ...questions.kitTasks('all', kit?.code ?? code),
        enabled: kit !== undefined && may('check'),
    });
    const [chosen, setChosen] = useState<string>();
    if (!kit) {
        return <Waiting error={error} />;
    }
    const pocket = chosen ?? kit.leaves[0]?.pockets[0]?.id ?? '';
    return (
        <Page
            title={`${kit.code} ${kit.name}`}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {kit.place.path} · {kit.design_name} · for {sayScope(kit.scope)}, {kit.scope_because}
                </Typography>
            }
            beside={<KitActions kit={kit} mayGive={duties?.may_give === true} />}
        >
            <OfflineCopy path={`/api/kits/${code}`} timeZone={timeZone}>
                {kit.code !== code && <Notice>{words.nowCalled(code, kit.code)}</Notice>}
                {kit.retired_on && (
                    <Notice>
                        <strong>
                            {words.takenOutOfServiceOn}
                            {sayDay(kit.retired_on)}.
                        </strong>
                        {words.onlyItsHistoryRemainsNothing}
                    </Notice>
                )}
                {kit.module_of && (
                    <Notice>
                        {words.isAModuleIn}
                        <Link to={`/kits/${kit.module_of.code}`} style={{ color: 'inherit' }}>
                            {kit.module_of.code} {kit.module_of.name}
                        </Link>
                        {words.andIsJudgedWithIt}
                    </Notice>
                )}
                <TwoColumns widths="1.25fr 1fr">
                    <Box sx={{ minWidth: 0 }}>
                        {!kit.retired_on && (
                            <VerdictSheet verdict={kit.verdict} kit={kit.code} leaves={kit.leaves} first={kit.job} />
                        )}
                        <Unsettled kit={kit.code} />
                        <NotStaged kit={kit} />
                        <Shortfalls kit={kit.code} />
                        <Notes notes={kit.notes} of={kit.code} />
                        <WhoAnswers kit={kit} />
                        <Facts kit={kit} />
                        <Alike kit={kit} />
                        <Modules kit={kit} />
                    </Box>
                    <Box sx={{ order: { lg: -1 }, minWidth: 0 }}>
                        <OpenKit leaves={kit.leaves} lines={kit.verdict.lines} selected={pocket} onSelect={setChosen} />
                        <StitchKey />
                        <Box sx={{ mt: 4 }}>
                            <PocketContents kit={kit} pocket={pocket} />
                        </Box>
                        <ListWarning list={kit.list} />
                    </Box>
                </TwoColumns>
            </OfflineCopy>
        </Page>
    );
}

function Facts({ kit }: { kit: Schemas['KitResource'] }) {
    const { may, timeZone } = useSession();
    const mass =
        kit.verdict.max_mass_g === null
            ? `${kit.verdict.mass_g} g`
            : words.ofAtMostG(kit.verdict.mass_g, kit.verdict.max_mass_g);
    const weighed = kit.verdict.is_empty_mass_known ? mass : words.withoutTheBag(mass);
    return (
        <Sheet title={words.checksAndPlace}>
            <Box
                component="dl"
                sx={{
                    display: 'grid',
                    gridTemplateColumns: 'minmax(96px, auto) minmax(0, 1fr)',
                    gap: '6px 16px',
                    m: 0,
                    '& dt': { color: 'text.secondary' },
                    '& dd': { m: 0 },
                }}
            >
                <dt>{words.nextCheck}</dt>
                <dd>
                    {kit.due.text}
                    {kit.due.overdue_days > 0 && (
                        <strong>
                            {' '}
                            {kit.due.overdue_days}
                            {words.daysOverdue}
                        </strong>
                    )}
                </dd>
                <dt>{words.lastCheck}</dt>
                <dd>
                    {kit.last_check === null ? (
                        words.neverChecked
                    ) : (
                        <Box component="span" sx={{ display: 'inline-flex', flexWrap: 'wrap', gap: '2px 12px' }}>
                            <Link to={`/checks/${kit.last_check.id}`} style={{ color: 'inherit' }}>
                                {sayInstant(kit.last_check.done_at, timeZone)}, {kit.last_check.signed}
                                {kit.last_check.by !== kit.last_check.signed && words.accountOf(kit.last_check.by)}
                            </Link>
                            <span>{words.statusThen}</span> <VerdictMark verdict={kit.last_check.verdict} />
                        </Box>
                    )}
                </dd>
                <dt>{words.seal}</dt>
                <dd>
                    {kit.seal.state === 'intact' && words.intactByRecord}
                    {kit.seal.state === 'none' && (kit.sealed_design ? words.openThisDesignIsKept : words.keptOpen)}
                    {kit.seal.state === 'broken' &&
                        words.brokenOn(
                            sayDay(kit.seal.broken_on ?? kit.verdict.as_of),
                            kit.seal.reason ?? 'no reason given',
                        )}
                </dd>
                <dt>{words.place}</dt>
                <dd>
                    <Link to={`/kits?place=${kit.place.id}`} style={{ color: 'inherit' }}>
                        {kit.place.path}
                    </Link>
                </dd>
                <dt>{words.mass}</dt>
                <dd>{weighed}</dd>
                <dt>{words.expiredItems}</dt>
                <dd>{kit.verdict.expiry === 'strict' ? words.countAsMissing : words.expiredStockKeptAsReserve}</dd>
                <dt>{words.list}</dt>
                <dd>
                    <Link to={`/lists/${kit.list.id}`} style={{ color: 'inherit' }}>
                        {sayList(kit.list)}
                    </Link>
                    , edition {kit.list.edition}
                </dd>
            </Box>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 3 }}>
                {may('restock') && !kit.retired_on && (kit.seal.state === 'intact' || kit.sealed_design) && (
                    <SealDialog kit={kit} />
                )}
                {may('equip') && !kit.retired_on && !kit.module_of && <KitSettings kit={kit} />}
            </Box>
        </Sheet>
    );
}
