<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kits\Models\Kit;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Check\Verdict;
use Sarcina\Core\Format\Json;
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
            $file = (string) $this->getJson("/api/kits/{$code}/file")->assertOk()->assertHeader(
                'Content-Disposition',
                "attachment; filename=\"{$code}.kit.json\"",
            )->getContent();
            $document = json_decode($file, true, 64, JSON_THROW_ON_ERROR);
            $documents = $document['documents'] ?? [$document];
            $whole = $this->rule('whole', isset($document['documents']) ? $file : (string) json_encode(['format' => 'sarcina.whole/1', 'documents' => [json_decode($file)]]));
            $said = $this->rule('check', Json::write((json_decode($file)->documents ?? [json_decode($file)])[$whole['judged']]));
            $page = $this->readKit($code);
            $this->assertSame([$whole['verdict'], $whole['verdict']], [$said['verdict'], $page['verdict']['verdict']], $code);
            $state = DB::table('kit_states')->where('kit_id', $page['id'])->value('verdict');
            $this->assertContains($state, [$whole['verdict'], null], "{$code} on Today");
            $told = array_map(
                static fn (array $finding): string => "{$finding['severity']} {$finding['kind']} ".($finding['line'] ?? '').' '.($finding['item'] ?? ''),
                $said['findings'],
            );
            $shown = array_map(
                static fn (array $reason): string => "{$reason['severity']} {$reason['kind']} {$reason['line']} {$reason['item']}",
                $page['verdict']['reasons'],
            );
            // The page joins the parts of a kit; of a kit that is one document it says exactly what the rule says.
            count($documents) === 1
                ? $this->assertEqualsCanonicalizing($told, $shown, $code)
                : $this->assertSame([], array_diff(array_filter($told, static fn (string $one): bool => ! str_starts_with($one, 'note')), $shown), $code);
            if (count($documents) === 1) {
                $this->assertSame($said['mass_g'], $page['verdict']['mass_g'], $code);
                foreach ($said['lines'] as $index => $line) {
                    $shownLine = $page['verdict']['lines'][$index];
                    $this->assertSame(
                        [$line['id'], (string) $line['effective'], $line['reserve']],
                        [$shownLine['code'], $shownLine['effective'], $shownLine['reserve']],
                        "{$code} {$line['id']}",
                    );
                }
            }
            $verdicts[] = $whole['verdict'];
        }
        $this->assertEqualsCanonicalizing(
            array_column(Verdict::cases(), 'value'),
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
    private function rule(string $name, string $document): array
    {
        $process = proc_open([base_path('bin/sarcina'), 'rule', $name], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        $this->assertIsResource($process);
        fwrite($pipes[0], $document);
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        $this->assertSame(0, proc_close($process), $answer);

        return json_decode($answer, true, 64, JSON_THROW_ON_ERROR);
    }
}
