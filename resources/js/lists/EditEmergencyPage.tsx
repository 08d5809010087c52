import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, isProblem, type Problem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useKept } from '../offline/useKept';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import type { Choice } from '../ui/Search';
import { sayScope } from '../ui/words';
import { AcceptsEditor } from './AcceptsEditor';
import { freshEntry, type EditedEntry } from './editing';
import { codeOf, edited, freshNeed, scopes, toSend, type EditedKind, type EditedNeed } from './editingKinds';
import { KnownClasses } from './KnownClasses';
import { words } from './words';

/** What one casualty of a kind takes, changed or made by a lead. */
export default function EditEmergencyPage() {
    const { code } = useParams();
    const { data: all, error } = useQuery(questions.emergencies());
    if (!all) {
        return <Waiting error={error} />;
    }
    const kind = all.find((one) => one.code === code);
    return <Editor key={`${code ?? 'new'} ${kind?.revision ?? 0}`} kind={kind} known={all.map((one) => one.code)} />;
}

function Editor({ kind, known }: { kind: Schemas['EmergencyResource'] | undefined; known: string[] }) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const { data: catalogue } = useQuery(questions.itemChoices());
    const items = useMemo(() => (catalogue ?? []).map(({ code, name }) => [code, name] as const), [catalogue]);
    const { typed, type, forget } = useKept<EditedKind>(
        `emergency.${kind?.code ?? 'new'}.${kind?.revision ?? 0}`,
        edited(kind),
    );
    const made = codeOf(typed.title);
    const isTaken = kind === undefined && known.includes(made);
    const keep = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/emergencies/{code}', {
                    params: { path: { code: kind?.code ?? made } },
                    body: toSend(typed, kind?.revision ?? 0),
                }),
            ),
        onSuccess: async () => {
            forget();
            await client.invalidateQueries();
            void navigate('/emergencies');
        },
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    const needs = (to: EditedNeed[]) => type({ ...typed, needs: to });
    return (
        <Page
            title={kind === undefined ? words.newKind : words.changeKind(kind.title)}
            beside={
                <Button component={Link} to="/emergencies">
                    {words.allKinds}
                </Button>
            }
        >
            <Sheet title={words.aboutThisKind}>
                <Row columns="minmax(0, 2fr) minmax(0, 1.4fr) minmax(0, 1fr)">
                    <Write
                        label={words.kindOfEmergency}
                        value={typed.title}
                        onWrite={(title) => type({ ...typed, title })}
                        problem={isTaken ? words.kindIsThere : problem?.at('title')}
                    />
                    <Choose
                        label={words.whoMayDealWithIt}
                        value={typed.scope}
                        onChoose={(one) => type({ ...typed, scope: scopes.find((scope) => scope === one) ?? 'anyone' })}
                        options={scopes.map((one) => [one, sayScope(one)] as const)}
                    />
                    <Write
                        label={words.helpers}
                        value={typed.helpers ?? '1'}
                        onWrite={(helpers) => type({ ...typed, helpers: helpers.trim() })}
                        problem={problem?.at('helpers')}
                        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 2 } }}
                    />
                </Row>
                <Write
                    label={words.basedOn}
                    value={typed.basis}
                    onWrite={(basis) => type({ ...typed, basis })}
                    problem={problem?.at('basis')}
                    help={words.basisOfKind}
                />
            </Sheet>
            <KnownClasses />
            <Sheet title={words.whatOneCasualtyTakes}>
                {typed.needs.map((need, at) => (
                    <Need
                        key={need.code}
                        need={need}
                        at={at}
                        items={items}
                        problem={problem}
                        isOnly={typed.needs.length === 1}
                        onChange={(to) => needs(typed.needs.map((one, index) => (index === at ? to : one)))}
                        onRemove={() => needs(typed.needs.filter((_, index) => index !== at))}
                    />
                ))}
                <Button onClick={() => needs([...typed.needs, freshNeed(typed.needs)])} sx={{ mt: 3 }}>
                    {words.addANeed}
                </Button>
            </Sheet>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                <Button
                    variant="contained"
                    onClick={() => keep.mutate()}
                    disabled={keep.isPending || isTaken || made === ''}
                >
                    {words.saveKind}
                </Button>
                <Button
                    onClick={() => {
                        forget();
                        void navigate('/emergencies');
                    }}
                >
                    {words.discardMyChanges}
                </Button>
            </Box>
            {problem && (problem.status !== 422 || problem.at('needs')) && <Trouble error={problem} />}
        </Page>
    );
}

function Need({
    need,
    at,
    items,
    problem,
    isOnly,
    onChange,
    onRemove,
}: {
    need: EditedNeed;
    at: number;
    items: readonly Choice[];
    problem: Problem | null;
    isOnly: boolean;
    onChange: (to: EditedNeed) => void;
    onRemove: () => void;
}) {
    const name = need.title || words.needNumber(at + 1);
    const accepts = (entries: EditedEntry[]) => onChange({ ...need, accepts: entries });
    return (
        <Box component="section" aria-label={name} sx={{ borderTop: 1, borderColor: 'divider', py: 3 }}>
            <Row columns="minmax(0, 3fr) minmax(0, 1fr) minmax(0, 2fr)">
                <Write
                    label={words.needLabel(at + 1)}
                    value={need.title}
                    onWrite={(title) => onChange({ ...need, title })}
                    problem={problem?.at(`needs.${at}.title`)}
                />
                <Write
                    label={words.piecesEach}
                    value={need.quantity}
                    onWrite={(quantity) => onChange({ ...need, quantity })}
                    problem={problem?.at(`needs.${at}.quantity`)}
                    slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                />
                <Tick
                    label={words.servesAll}
                    checked={need.isReusable}
                    onTick={(isReusable) => onChange({ ...need, isReusable })}
                />
            </Row>
            <AcceptsEditor
                entries={need.accepts}
                name={name}
                items={items}
                problem={problem}
                at={`needs.${at}`}
                onChange={accepts}
            />
            <Box sx={{ display: 'flex', gap: 2, mt: 2 }}>
                <Button size="small" onClick={() => accepts([...need.accepts, { ...freshEntry, kind: 'class' }])}>
                    {words.addAnAlternative}
                </Button>
                <Button
                    size="small"
                    variant="text"
                    disabled={isOnly}
                    onClick={onRemove}
                    aria-label={words.removeNeed(name)}
                >
                    {words.removeThisNeed}
                </Button>
            </Box>
        </Box>
    );
}
