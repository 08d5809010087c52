<?php

declare(strict_types=1);

/*
 * bin/sarcina rule NAME [FILE] [--lines]: runs one rule of the core, without the application or a database.
 * Exit 0 with the answer; exit 2 with {"errors": […]} on bad input.
 */

use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\Problem;
use Sarcina\Core\Rule;

require __DIR__.'/../vendor/autoload.php';

/** @param  list<Problem>  $problems */
function refused(array $problems): string
{
    return Json::write(['errors' => $problems])."\n";
}

$arguments = array_slice($argv, 1);
$byLine = in_array('--lines', $arguments, true);
$named = array_values(array_filter($arguments, static fn (string $argument): bool => $argument !== '--lines'));
$rule = Rule::tryFrom($named[0] ?? '');
if ($rule === null) {
    fwrite(STDOUT, refused([new Problem('', 'There is no such rule; rules are '.implode(', ', array_column(Rule::cases(), 'value')).'.')]));
    exit(2);
}
$file = $named[1] ?? 'php://stdin';
$input = is_dir($file) ? false : @fopen($file === '-' ? 'php://stdin' : $file, 'rb');
if ($input === false) {
    fwrite(STDOUT, refused([new Problem('', "The file \"{$file}\" cannot be read.")]));
    exit(2);
}
$exit = 0;
$answer = static function (string $text) use ($rule, &$exit): void {
    try {
        $line = Json::write($rule->answer($text))."\n";
    } catch (InvalidDocument $invalid) {
        $exit = 2;
        $line = refused($invalid->problems);
    }
    fwrite(STDOUT, $line);
};
if ($byLine) {
    while (($text = fgets($input)) !== false) {
        $answer($text);
    }
} else {
    $answer((string) stream_get_contents($input));
}
exit($exit);
