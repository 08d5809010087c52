<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Kit;
use Tests\TestCase;

/** Every kit downloads as its document, and the rule says of it exactly what the page says. */
final class KitFileTest extends TestCase
{
    public function test_the_rule_says_what_the_page_says_for_every_demo_kit(): void
    {
        $codes = Kit::query()->orderBy('code')->pluck('code')->all();
        $this->assertGreaterThanOrEqual(14, count($codes));
        $this->actAs('auditor');
        $verdicts = [];
        foreach ($codes as $code) {
            $file = $this->getJson("/api/kits/{$code}/file")->assertOk()->assertHeader(
                'Content-Disposition',
                "attachment; filename=\"{$code}.kit.json\"",
            )->getContent();
            $said = $this->rule((string) $file);
            $page = $this->readKit($code);
            // What two looks disagree on, and what was reported used, lies beside the rule: it may make the page's verdict worse.
            $reasons = array_filter($page['verdict']['reasons'], static fn (array $reason): bool => ! in_array($reason['kind'], ['disagreement', 'reported_use'], true));
            $isDisputed = in_array('disagreement', array_column($page['verdict']['reasons'], 'kind'), true);
            // Where nothing is critical or required, the rule has nothing to find, and the page says that no requirement is set.
            $asksNothing = array_filter($page['verdict']['lines'], static fn (array $line): bool => $line['rank'] !== 'optional') === [];
            $expected = match (true) {
                $isDisputed => 'not_ready',
                $asksNothing && $said['verdict'] === 'ready' => 'no_requirement',
                default => $said['verdict'],
            };
            $this->assertSame($expected, $page['verdict']['verdict'], $code);
            $this->assertSame($said['mass_g'], $page['verdict']['mass_g'], $code);
            $this->assertEqualsCanonicalizing(
                array_map(
                    static fn (array $finding): string => "{$finding['severity']} {$finding['kind']} ".($finding['line'] ?? '').' '.($finding['row'] ?? ''),
                    $said['findings'],
                ),
                array_map(
                    static fn (array $reason): string => "{$reason['severity']} {$reason['kind']} {$reason['line']} {$reason['row']}",
                    $reasons,
                ),
                $code,
            );
            foreach ($said['lines'] as $index => $line) {
                $shown = $page['verdict']['lines'][$index];
                $this->assertSame(
                    [$line['id'], (string) $line['effective'], $line['reserve']],
                    [$shown['code'], $shown['effective'], $shown['reserve']],
                    "{$code} {$line['id']}",
                );
            }
            $verdicts[] = $said['verdict'];
        }
        $this->assertEqualsCanonicalizing(
            ['ready', 'ready_with_actions', 'limited', 'not_ready'],
            array_values(array_unique($verdicts)),
            'The demo data shows every verdict.',
        );
    }

    public function test_the_demo_data_is_as_large_as_it_should_be(): void
    {
        $counts = fn (string $table): int => \Illuminate\Support\Facades\DB::table($table)->count();
        $this->assertGreaterThanOrEqual(80, $counts('items'));
        $this->assertGreaterThanOrEqual(350, $counts('lots'));
        $this->assertGreaterThanOrEqual(6, $counts('designs'));
        $this->assertGreaterThanOrEqual(100, $counts('checks'));
        $this->assertSame(
            0,
            \App\Catalogue\Models\Item::query()->whereRaw("LENGTH(purpose) - LENGTH(REPLACE(purpose, ' ', '')) > 4")->count(),
            'A purpose is said in five words.',
        );
    }

    /** @return array<string, mixed> */
    private function rule(string $document): array
    {
        $process = proc_open([base_path('bin/sarcina'), 'rule', 'check'], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        $this->assertIsResource($process);
        fwrite($pipes[0], $document);
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        $this->assertSame(0, proc_close($process), $answer);

        return json_decode($answer, true, 64, JSON_THROW_ON_ERROR);
    }
}
