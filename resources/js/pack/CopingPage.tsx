import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { designQuestions } from '../api/designQuestions';
import { questions, type Scope } from '../api/queries';
import { Choose, Row } from '../ui/Fields';
import { Page, Waiting } from '../ui/Page';
import { sayScope } from '../ui/words';
import { Coping } from './Coping';
import { words } from './words';

const scopes: readonly Scope[] = ['anyone', 'first_aider', 'trained', 'clinician'];

/** For how many casualties of each kind a kit has supplies, as it stands and as its design plans it. */
export function KitCopingPage() {
    const { code = '' } = useParams();
    const [search, setSearch] = useSearchParams();
    const together = search.get('together') ?? '';
    const { data, error } = useQuery(questions.coping(code, together));
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.copingTitle(data.name)}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.copingFor(sayScope(data.scope))}</Typography>}
            beside={
                <Button component={Link} to={`/kits/${code}`}>
                    {words.theKit}
                </Button>
            }
        >
            <Coping
                coping={data}
                together={together}
                onTogether={(to) => setSearch(to === '' ? {} : { together: to }, { replace: true })}
            />
        </Page>
    );
}

/** The same of a design, for whoever will have kits of it. */
export function DesignCopingPage() {
    const { id = '' } = useParams();
    const [search, setSearch] = useSearchParams();
    const scope = scopes.find((one) => one === search.get('scope')) ?? 'first_aider';
    const together = search.get('together') ?? '';
    const { data, error } = useQuery(designQuestions.copingOfDesign(id, scope, together));
    if (!data) {
        return <Waiting error={error} />;
    }
    const set = (to: Record<string, string>) =>
        setSearch({ scope, ...(together === '' ? {} : { together }), ...to }, { replace: true });
    return (
        <Page
            title={words.copingTitle(data.name)}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.copingOfDesign}</Typography>}
            beside={
                <Button component={Link} to="/settings/policies">
                    {words.allDesigns}
                </Button>
            }
        >
            <Row columns="minmax(0, 320px)">
                <Choose
                    label={words.whoHasIt}
                    value={scope}
                    onChoose={(one) => set({ scope: one })}
                    options={scopes.map((one) => [one, sayScope(one)] as const)}
                />
            </Row>
            <Coping
                coping={data}
                together={together}
                onTogether={(to) => (to === '' ? setSearch({ scope }, { replace: true }) : set({ together: to }))}
            />
        </Page>
    );
}
