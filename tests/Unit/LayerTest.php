<?php

declare(strict_types=1);

namespace Tests\Unit;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use RegexIterator;

/**
 * Traffic goes in one direction: the page to the API, the application to the core; inside each, from what does something to what it
 * leans on. Reads the imports of every file, and fails on one that runs back.
 */
final class LayerTest extends TestCase
{
    /** Folders of the core, each leaning only on those before it. */
    private const CORE = [
        'Measure', 'Calendar', 'Kit', 'Lists', 'Flow', 'Check', 'Due', 'Pick', 'Buying', 'Places', 'Staffing',
        'Provision', 'Advice', 'Packing', 'Cope', 'Par', 'Rotate', 'Format',
    ];

    /** Folders of the page, each leaning only on those before it. */
    private const PAGE = ['api', 'offline', 'ui', 'session', 'settings', 'lists', 'report', 'design', 'carry', 'pack', 'assess', 'exchange', 'restock', 'rotate', 'build', 'use', 'check', 'today'];

    /** @return iterable<string, array{string}> */
    public static function core(): iterable
    {
        yield from self::files('core/src', 'php');
    }

    #[DataProvider('core')]
    public function test_the_core_leans_only_on_what_stands_before(string $file): void
    {
        $own = explode('/', substr($file, strlen('core/src/')));
        preg_match_all('/^use Sarcina\\\\Core\\\\(\w+)\\\\/m', self::read($file), $imports);
        foreach ($imports[1] as $folder) {
            $this->assertContains($folder, self::CORE, "{$file} leans on a folder that has no place in the order.");
            if (count($own) > 1) {
                $this->assertLessThanOrEqual(
                    array_search($own[0], self::CORE, true),
                    array_search($folder, self::CORE, true),
                    "{$file} leans back on {$folder}.",
                );
            }
        }
        $this->assertDoesNotMatchRegularExpression('/\b(App|Illuminate|Database|Tests)\\\\/', self::read($file));
    }

    /** What is read in one sitting: a class of at most 300 lines, none of them longer than 150 characters. */
    #[DataProvider('core')]
    #[DataProvider('app')]
    public function test_no_class_is_too_long_to_read(string $file): void
    {
        $lines = explode("\n", self::read($file));
        $this->assertLessThanOrEqual(301, count($lines), "{$file} has too many lines.");
        foreach ($lines as $at => $line) {
            $this->assertLessThanOrEqual(150, mb_strlen($line), "{$file}, line ".($at + 1).', is too long.');
        }
    }

    /** @return iterable<string, array{string}> */
    public static function app(): iterable
    {
        yield from self::files('app', 'php');
    }

    #[DataProvider('app')]
    public function test_the_application_leans_on_what_stands_below(string $file): void
    {
        $code = self::read($file);
        $own = self::role($file, $code);
        preg_match_all('/^use (?:function )?(App\\\\[\w\\\\]+)/m', $code, $imports);
        foreach ($imports[1] as $import) {
            $path = 'app/'.str_replace('\\', '/', substr($import, 4)).'.php';
            $this->assertLessThanOrEqual($own, self::role($path, self::read($path)), "{$file} leans back on {$import}.");
        }
        $this->assertDoesNotMatchRegularExpression('/^use (Database|Tests)\\\\/m', $code);
    }

    #[DataProvider('app')]
    public function test_what_reads_does_not_write(string $file): void
    {
        if (preg_match('#/(Read|Find|Compare|Describe)\w*\.php$#', $file) !== 1) {
            $this->expectNotToPerformAssertions();

            return;
        }
        $this->assertDoesNotMatchRegularExpression(
            '/->(save|insert|insertOrIgnore|update|upsert|delete|create|updateOrCreate|firstOrCreate|attach|detach|sync|increment|forceFill)\(|Transaction::run|DB::transaction|lockForUpdate/',
            self::read($file), "{$file} writes.",
        );
    }

    /** @return iterable<string, array{string}> */
    public static function page(): iterable
    {
        yield from self::files('resources/js', 'tsx?');
    }

    #[DataProvider('page')]
    public function test_the_page_leans_only_on_what_stands_before(string $file): void
    {
        $own = explode('/', substr($file, strlen('resources/js/')));
        preg_match_all("/from '(\\.{1,2}\\/[^']+)'/", self::read($file), $imports);
        foreach ($imports[1] as $import) {
            $this->assertDoesNotMatchRegularExpression('#\.\./\.\./\.\.#', $import);
            if (count($own) > 1 && preg_match('#^\.\./(\w+)/#', $import, $folder) === 1) {
                $this->assertContains($folder[1], self::PAGE, "{$file} leans on a folder that has no place in the order.");
                $this->assertLessThan(
                    array_search($own[0], self::PAGE, true),
                    array_search($folder[1], self::PAGE, true),
                    "{$file} leans back on {$folder[1]}.",
                );
            }
        }
        $this->addToAssertionCount(1);
    }

    /**
     * What a file of the application is, lower for what others lean on: shared support, models and values, what does and reads, what answers, commands.
     */
    private static function role(string $file, string $code): int
    {
        return match (true) {
            str_starts_with($file, 'app/Console/'), str_starts_with($file, 'app/Providers/') => 4,
            // The shapes of answers are values; controllers, requests and middleware are not.
            str_contains($file, '/Http/') => str_contains($code, 'final readonly class') ? 1 : 3,
            str_starts_with($file, 'app/Support/') => 0,
            str_contains($file, '/Models/'), preg_match(
                '/extends Refused|^(final )?readonly class|final readonly class|^enum |^interface /m',
                $code,
            ) === 1 => 1,
            default => 2,
        };
    }

    /** @return iterable<string, array{string}> */
    private static function files(string $folder, string $ending): iterable
    {
        $root = dirname(__DIR__, 2).'/';
        foreach (new RegexIterator(new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root.$folder)), "/\\.{$ending}$/") as $file) {
            $path = substr((string) $file, strlen($root));
            // What tests lean on is not part of the page.
            if (preg_match('#schema\.d\.ts|\.test\.|/testing/#', $path) !== 1) {
                yield $path => [$path];
            }
        }
    }

    private static function read(string $file): string
    {
        $code = file_get_contents(dirname(__DIR__, 2).'/'.$file);
        self::assertIsString($code, "{$file} is not there.");

        return $code;
    }
}
