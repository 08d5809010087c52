<?php

declare(strict_types=1);

namespace Tests\Long;

use PHPUnit\Framework\Attributes\Group;
use Tests\Browser\BrowserTestCase;
use Tests\Support\OnInstance;

/** Somebody checks a kit; the server is lost and put back from a backup of before. Their device sends the check again by itself. */
#[Group('long')]
final class RestoredPageTest extends BrowserTestCase
{
    private const NAME = 'own-page';

    protected function setUp(): void
    {
        parent::setUp();
        putenv('SARCINA_BACKUP_PASSPHRASE=four lanterns by the glasshouse');
        $this->on(self::NAME, 'begin_empty', 'load_demo');
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        putenv('SARCINA_BACKUP_PASSPHRASE');
        OnInstance::run(self::NAME, 'stop_server', 'stop_database');
        shell_exec('rm -rf '.escapeshellarg(self::var()).' '.escapeshellarg(self::var().'-lost'));
    }

    public function test_a_check_that_the_backup_does_not_have_is_sent_again(): void
    {
        $port = trim((string) file_get_contents(self::var().'/port'));
        $visit = $this->atDesk("http://127.0.0.1:{$port}")->signIn('keeper');
        preg_match('/^Backed up to (.+)$/m', implode("\n", $this->on(self::NAME, 'manual_backup')), $file);
        $visit->open('/kits/QH-04/check')->seeHeading('Check QH-04 Arid house box');
        $this->finishAll($visit);
        $visit->seeHeading('Full check of QH-04 Arid house box');
        $this->assertSame(1, $this->checksOfToday($visit));

        // The machine is lost; another one gets the address, and the backup.
        $this->on(self::NAME, 'stop_server', 'stop_database');
        rename(self::var(), self::var().'-lost');
        mkdir(self::var(), 0o700);
        file_put_contents(self::var().'/port', $port);
        $backup = str_replace(self::var().'/', self::var().'-lost/', $file[1]);
        $this->on(self::NAME, "restore:{$backup}:Maren Oduya", 'bring_up');

        $visit->open('/kits/QH-04')->see('Email address');
        $visit->fill('Email address', 'keeper@quillhaven.example')->fill('Password', \Database\Seeders\DemoSeeder::PASSWORD)->press('Sign in');
        $visit->seeHeading('QH-04 Arid house box');
        $visit->wait(fn (): bool => $this->checksOfToday($visit) === 1, 'The check is not there again.', 30);
        $visit->open('/kits/QH-04/history')->see('Full check by Tobias Renn')->dontSee('Waiting to be sent');
        $visit->open('/')->seeHeading('Today');
        $this->assertSame(1, $this->checksOfToday($visit), 'It is not sent a third time.');
    }

    /** @phpstan-impure */
    private function checksOfToday(\Tests\Browser\Support\Visit $visit): int
    {
        $answer = (array) $visit->chrome->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch("/api/kits/QH-04/history").then((answer) => answer.json()).then(done, () => done({}))',
        );

        return count(array_filter($answer['entries'] ?? [], static fn (array $entry): bool => $entry['kind'] === 'full_check' && str_starts_with($entry['at'], gmdate('Y-m-d'))));
    }

    private static function var(): string
    {
        return dirname(__DIR__, 2).'/var/'.self::NAME;
    }
}
