<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;
use Sarcina\Core\Advice\Action;
use Sarcina\Core\Advice\Advice;
use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\FindingKind;
use Sarcina\Core\Check\Judge;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\Severity;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Check\Whole;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitDocument;
use Sarcina\Core\Rule;

/** What holds of every kit, tried on many made by chance. */
final class PropertiesTest extends TestCase
{
    private const KITS = 300;

    public function test_the_order_of_rows_items_and_lines_does_not_matter(): void
    {
        $kits = new RandomKits(1);
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $document = $kits->document();
            $turned = $document;
            $turned['contents'] = $kits->shuffled($document['contents']);
            $turned['items'] = $kits->shuffled($document['items']);
            $turned['list']['lines'] = $kits->shuffled($document['list']['lines']);
            $this->assertSame(
                self::summary(Judge::judge(RandomKits::read($document))),
                self::summary(Judge::judge(RandomKits::read($turned))),
                Json::write($document),
            );
        }
    }

    public function test_what_was_written_is_read_as_it_was(): void
    {
        $kits = new RandomKits(2);
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $assignment = RandomKits::read($kits->wholeDocument());
            $this->assertEquals($assignment, RandomKits::read(KitDocument::of($assignment)));
        }
    }

    public function test_what_advice_says_makes_the_kit_ready(): void
    {
        $kits = new RandomKits(3);
        $mended = 0;
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $document = $kits->document();
            $judgement = Judge::judge(RandomKits::read($document));
            $after = Judge::judge(RandomKits::read(self::carriedOut($document, $judgement)));
            $left = array_filter($after->findings, static fn (Finding $finding): bool => ! in_array($finding->kind, [
                FindingKind::BeyondScope, FindingKind::Overweight, FindingKind::DateUnknown, FindingKind::Superseded, FindingKind::Surplus, FindingKind::ExpiresEarly,
            ], true));
            // A line that asks for more than what lies there beyond the kit's scope waits for people, not for pieces.
            $advice = (new Advice($judgement))->findings();
            $waits = array_filter(
                $advice,
                static fn ($advised): bool => $advised->action === Action::People && $advised->finding->kind === FindingKind::Short,
            );
            $beyond = array_filter($judgement->findings, static fn (Finding $finding): bool => $finding->kind === FindingKind::BeyondScope);
            if ($waits !== [] || $beyond !== []) {
                continue;
            }
            $this->assertSame(
                [],
                array_map(static fn (Finding $finding): string => $finding->kind->value, array_values($left)),
                Json::write($document),
            );
            $this->assertSame([], $after->restock);
            $this->assertTrue(in_array($after->verdict, [Verdict::Ready, Verdict::ReadyWithActions], true));
            $mended += $judgement->verdict === Verdict::NotReady || $judgement->verdict === Verdict::Limited ? 1 : 0;
        }
        $this->assertGreaterThan(50, $mended, 'Too few of the kits tried had anything to mend.');
    }

    public function test_one_more_good_piece_never_makes_a_kit_worse(): void
    {
        $kits = new RandomKits(4);
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $document = $kits->document();
            unset($document['kit']['max_mass_g']);
            $before = Judge::judge(RandomKits::read($document));
            $document['contents'][] = ['item' => $kits->pick(['pad-large', 'tape', 'shears']), 'expires' => '2030-01', 'quantity' => 1];
            $after = Judge::judge(RandomKits::read($document));
            $this->assertFalse($after->verdict->isWorseThan($before->verdict), Json::write($document));
        }
    }

    public function test_a_day_later_nothing_but_the_day_makes_it_worse(): void
    {
        $kits = new RandomKits(5);
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $document = $kits->document();
            $before = Judge::judge(RandomKits::read($document));
            $document['as_of'] = '2026-03-15';
            $this->assertFalse($before->verdict->isWorseThan(Judge::judge(RandomKits::read($document))->verdict), Json::write($document));
        }
    }

    public function test_a_doubt_another_count_or_a_late_check_never_makes_it_better(): void
    {
        $kits = new RandomKits(7);
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $document = $kits->wholeDocument();
            $with = Judge::judge(RandomKits::read($document))->verdict;
            $checked = $document['checked'] === null ? null : ['last_full' => '2026-03-14', 'due_on' => null];
            foreach ([['also_counted' => []], ['doubts' => array_filter($document['doubts'], static fn (array $one): bool => ! isset($one['item']))], ['checked' => $checked]] as $less) {
                $without = Judge::judge(RandomKits::read([...$document, ...$less]))->verdict;
                $this->assertFalse($without->isWorseThan($with), Json::write([$less, $document]));
            }
        }
    }

    public function test_the_whole_is_as_good_as_its_worst_document(): void
    {
        $kits = new RandomKits(8);
        for ($kit = 0; $kit < self::KITS; $kit++) {
            $documents = [$kits->wholeDocument(), $kits->wholeDocument(), $kits->wholeDocument()];
            $whole = Whole::of(array_map(RandomKits::read(...), $documents));
            $verdicts = array_map(static fn (array $one): Verdict => Judge::judge(RandomKits::read($one))->verdict, $documents);
            $this->assertSame($verdicts, array_map(static fn (Judgement $one): Verdict => $one->verdict, $whole->judgements));
            foreach ($verdicts as $place => $verdict) {
                $this->assertFalse($verdict->isWorseThan($whole->verdict));
                $this->assertTrue($place >= $whole->judged || $whole->verdict->isWorseThan($verdict), 'The first of the worst is judged.');
            }
            $this->assertSame($verdicts[$whole->judged], $whole->verdict);
        }
    }

    public function test_a_spoilt_document_fails_with_its_errors_or_is_answered(): void
    {
        $random = new RandomKits(6);
        $refused = 0;
        foreach (Rule::cases() as $rule) {
            $files = glob(__DIR__."/cases/{$rule->value}/*.json") ?: [];
            for ($try = 0; $try < 400; $try++) {
                /** @var \stdClass $case */
                $case = Json::read((string) file_get_contents($random->pick($files)));
                $document = self::spoilt(json_decode(Json::write($case->input), true), $random);
                try {
                    $this->assertNotSame('', Json::write($rule->answer((string) json_encode($document))));
                } catch (InvalidDocument $invalid) {
                    $this->assertNotSame([], $invalid->problems);
                    foreach ($invalid->problems as $problem) {
                        $this->assertMatchesRegularExpression('~^(/.*)?$~', $problem->path);
                        $this->assertNotSame('', $problem->message);
                    }
                    $refused++;
                }
            }
        }
        $this->assertGreaterThan(400, $refused);
    }

    /** One value somewhere in the document becomes another one, goes, or comes twice. */
    private static function spoilt(mixed $value, RandomKits $random): mixed
    {
        if (! is_array($value) || $value === [] || $random->chance(8)) {
            return $random->pick([
                null, true, -1, 0, 1.5, 9_000_000_000_000_000_000, '', "\u{0}", 'x', '2026-02-30', '2026-02-28',
                '0 mm', '7 cm', [], [[]], ['a' => 1], [null],
            ]);
        }
        $key = $random->pick(array_keys($value));
        $what = $random->pick(['goes', 'comes twice', 'changes', 'changes', 'changes', 'changes']);
        if ($what === 'goes') {
            unset($value[$key]);

            return $value;
        }
        if ($what === 'comes twice') {
            return array_is_list($value) ? [...$value, $value[$key]] : [...$value, 'else' => $value[$key]];
        }
        $value[$key] = self::spoilt($value[$key], $random);

        return $value;
    }

    /**
     * The kit after all that advice says was done: what must leave has left, and what is wanted was put in, lasting.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    private static function carriedOut(array $document, Judgement $judgement): array
    {
        $advice = new Advice($judgement);
        foreach ($advice->leaving() as $leaving) {
            unset($document['contents'][$leaving->index]);
        }
        $document['contents'] = array_values($document['contents']);
        foreach ($advice->wanted() as $wanted) {
            $document['contents'][] = ['item' => $wanted->item, 'expires' => '2030-01', 'quantity' => $wanted->pieces];
        }

        return $document;
    }

    /** @return array<string, mixed> what must be the same however the document is ordered */
    private static function summary(Judgement $judgement): array
    {
        $lines = [];
        foreach ($judgement->lines as $outcome) {
            $lines[$outcome->line->id] = [(string) $outcome->effective, $outcome->reserve, (string) $outcome->short, self::preferences($outcome)];
        }
        ksort($lines);
        $restock = array_map(static fn ($restock): string => "{$restock->line} {$restock->item} {$restock->quantity}", $judgement->restock);
        sort($restock);
        // Which of the rows that are alike for the placement is taken may differ; that some expire early does not.
        $findings = array_count_values(array_map(
            static fn (Finding $finding): string => "{$finding->kind->value} {$finding->severity->value} ".($finding->line->id ?? $finding->item->code ?? ''),
            array_filter(
                $judgement->findings,
                static fn (Finding $finding): bool => $finding->kind !== FindingKind::ExpiresEarly || $finding->severity === Severity::Note,
            ),
        ));
        $findings = array_filter(
            $findings,
            static fn (string $kind): bool => ! str_starts_with($kind, 'expires_early') && ! str_starts_with($kind, 'surplus'),
            ARRAY_FILTER_USE_KEY,
        );
        ksort($findings);

        return [
            'verdict' => $judgement->verdict->value,
            'mass' => $judgement->mass,
            'short' => array_map(static fn (array $line): array => [$line[0], $line[1], $line[2]], $lines),
            'findings' => $findings,
        ];
    }

    private static function preferences(LineOutcome $outcome): int
    {
        return array_sum(array_map(static fn ($placed): int => $placed->preference * $placed->quantity, $outcome->placed));
    }
}
