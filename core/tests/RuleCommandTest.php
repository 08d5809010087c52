<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;

/** `bin/sarcina rule` as a person or a script calls it. */
final class RuleCommandTest extends TestCase
{
    private const NEVER_CHECKED = '{"format":"sarcina.schedule/1","as_of":"2026-03-14"}';

    public function test_it_answers_standard_input(): void
    {
        [$exit, $answer] = $this->rule(['due'], self::NEVER_CHECKED);
        $this->assertSame(0, $exit);
        $this->assertSame('first', json_decode($answer, true)['because']);
    }

    public function test_it_reads_a_file(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'rule');
        file_put_contents($file, self::NEVER_CHECKED);
        [$exit, $answer] = $this->rule(['due', $file], '');
        unlink($file);
        $this->assertSame([0, '2026-03-14'], [$exit, json_decode($answer, true)['next']]);
    }

    public function test_bad_input_exits_2_with_its_errors(): void
    {
        [$exit, $answer] = $this->rule(['due'], '{"format":"sarcina.schedule/1","as_of":"2026-03-14","evry":null}');
        $this->assertSame(2, $exit);
        $this->assertSame('/evry', json_decode($answer, true)['errors'][0]['path']);
        $this->assertSame(2, $this->rule(['due', '/no/such/file'], '')[0]);
        $this->assertSame(2, $this->rule(['wish'], '{}')[0]);
    }

    public function test_lines_are_answered_in_order_and_a_bad_one_does_not_stop_the_rest(): void
    {
        [$exit, $answers] = $this->rule(['due', '--lines'], self::NEVER_CHECKED."\n{}\n".self::NEVER_CHECKED."\n");
        $lines = array_map(static fn (string $line): array => json_decode($line, true), explode("\n", trim($answers)));
        $this->assertSame(2, $exit);
        $this->assertSame(['first', null, 'first'], array_map(static fn (array $line) => $line['because'] ?? null, $lines));
        $this->assertArrayHasKey('errors', $lines[1]);
    }

    /**
     * @param  list<string>  $arguments
     * @return array{int, string}
     */
    private function rule(array $arguments, string $input): array
    {
        $process = proc_open([PHP_BINARY, __DIR__.'/../../bin/rule.php', ...$arguments], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        $this->assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);

        return [proc_close($process), $answer];
    }
}
