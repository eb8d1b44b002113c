<?php

declare(strict_types=1);

/*
 * Reads one foreign file, in a process of its own under limits of time and memory (App\Files\Foreign): read.php KIND FOLDER [PAGE|NAME].
 * FOLDER/in is the file; what is to be kept goes to FOLDER/out. Prints one JSON object: what it read, or the reason why not.
 */

use App\Files\Reading\DrawingReader;
use App\Files\Reading\PictureReader;
use App\Files\Reading\TableReader;
use Isleward\Core\Measure\Refusal;

require dirname(__DIR__).'/vendor/autoload.php';

ini_set('precision', '-1');
ini_set('serialize_precision', '-1');
/** @var list<string> $argv */
[, $kind, $folder, $more] = $argv + [3 => ''];
try {
    $read = match ($kind) {
        'drawing' => DrawingReader::read($folder, (int) $more),
        'picture' => PictureReader::read("$folder/in"),
        'table' => TableReader::read("$folder/in", $more),
        default => throw new InvalidArgumentException($kind),
    };
    if (file_put_contents("$folder/out", $read->content) !== strlen($read->content)) {
        exit(3);
    }
    $answer = ['kept' => $read->kind, 'told' => $read->told];
} catch (Refusal $refusal) {
    $answer = ['code' => $refusal->reason, 'sentence' => $refusal->getMessage(), 'details' => $refusal->details];
}
fwrite(STDOUT, json_encode($answer, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
