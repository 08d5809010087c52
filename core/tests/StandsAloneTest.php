<?php

declare(strict_types=1);

namespace Sarcina\Core\Tests;

use PHPUnit\Framework\TestCase;

/** The core imports nothing of the framework, reads no clock and does no input or output. */
final class StandsAloneTest extends TestCase
{
    public function test_it_uses_only_itself_and_exact_numbers(): void
    {
        $files = new \RegexIterator(new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(__DIR__.'/../src')), '/\.php$/');
        $seen = 0;
        foreach ($files as $file) {
            $code = (string) file_get_contents((string) $file);
            preg_match_all('/(?:^use |\\\\?)((?:Illuminate|Laravel|App|Symfony|Carbon|Database|Brick|Psr)\\\\[\w\\\\]+)/m', $code, $names);
            foreach ($names[1] as $name) {
                $this->assertStringStartsWith('Brick\\Math\\', $name, (string) $file);
            }
            preg_match_all('/^use (?!function )([\w\\\\]+)/m', $code, $imports);
            foreach ($imports[1] as $import) {
                $this->assertMatchesRegularExpression('/^(Sarcina\\\\Core|Brick\\\\Math)\\\\/', $import, (string) $file);
            }
            $this->assertDoesNotMatchRegularExpression(
                '/\b(time|date|microtime|hrtime|now|app|config|env|fopen|file_get_contents|file_put_contents|echo|print|getenv|rand|mt_rand|random_int)\s*\(|new \\\\?DateTime/',
                $code,
                (string) $file,
            );
            $seen++;
        }
        $this->assertGreaterThan(30, $seen);
    }
}
