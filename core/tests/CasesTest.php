<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Rule;

/** Every worked case in cases/, one file a case: README.md there says how an expectation is matched. */
final class CasesTest extends TestCase
{
    /** @return iterable<string, array{Rule, string}> */
    public static function cases(): iterable
    {
        foreach (Rule::cases() as $rule) {
            foreach (glob(__DIR__."/cases/{$rule->value}/*.json") ?: [] as $file) {
                yield $rule->value.'/'.basename($file, '.json') => [$rule, $file];
            }
        }
    }

    #[DataProvider('cases')]
    public function test_case(Rule $rule, string $file): void
    {
        /** @var \stdClass $case */
        $case = Json::read((string) file_get_contents($file));
        try {
            $answer = json_decode(Json::write($rule->answer(Json::write($case->input))));
        } catch (InvalidDocument $invalid) {
            $this->assertTrue(property_exists($case, 'errors'), 'Refused: '.$invalid->getMessage());
            $paths = array_map(static fn (Problem $problem): string => $problem->path, $invalid->problems);
            foreach ($case->errors as $error) {
                $this->assertContains($error->path, $paths);
            }

            return;
        }
        $this->assertTrue(property_exists($case, 'expect'), 'Taken, though it must be refused.');
        $this->assertTrue(self::holds($case->expect, $answer), "{$case->why}\nThe answer was ".Json::write($answer));
    }

    public function test_every_rule_has_cases(): void
    {
        foreach (Rule::cases() as $rule) {
            $this->assertGreaterThan(4, count(glob(__DIR__."/cases/{$rule->value}/*.json") ?: []), $rule->value);
        }
    }

    private static function holds(mixed $expected, mixed $answer): bool
    {
        if ($expected instanceof \stdClass) {
            foreach (get_object_vars($expected) as $key => $value) {
                if (! $answer instanceof \stdClass || ! property_exists($answer, (string) $key) || ! self::holds($value, $answer->{$key})) {
                    return false;
                }
            }

            return $answer instanceof \stdClass;
        }
        if (is_array($expected)) {
            return is_array($answer) && count($expected) === count($answer) && self::pairUp(array_values($expected), array_values($answer));
        }

        return $expected === $answer;
    }

    /**
     * @param  list<mixed>  $expected
     * @param  list<mixed>  $answers
     */
    private static function pairUp(array $expected, array $answers): bool
    {
        if ($expected === []) {
            return true;
        }
        $first = array_shift($expected);
        foreach ($answers as $index => $answer) {
            if (self::holds($first, $answer)) {
                $rest = $answers;
                unset($rest[$index]);
                if (self::pairUp($expected, array_values($rest))) {
                    return true;
                }
            }
        }

        return false;
    }
}
