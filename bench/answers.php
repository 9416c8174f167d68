<?php

declare(strict_types=1);

/*
 * What every calculator answers to a seeded sample of inputs, one line each, so that a change of layout can be shown
 * to have changed no number: run it before and after, and compare.
 *
 *     php bench/answers.php [how many for each, 100] > answers.txt
 */

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Catalogue\Registry;

require __DIR__ . '/../vendor/autoload.php';

$registry = Registry::standard(Library::shipped());
$each = (int) ($argv[1] ?? 100);

$value = static function (array $input) use (&$value, &$shared): mixed {
    $between = static fn(float $low, float $high): float => $low + (($high - $low) * mt_rand()) / mt_getrandmax();
    $some = static function (array $fields, bool $alike = false) use (&$value, &$shared): array {
        $row = [];
        foreach ($fields as $field) {
            // Waters that are mixed must name the same things.
            $shared[$field['key']] ??= mt_rand(0, 2) === 0;
            $row[$field['key']] = $alike
                ? ($shared[$field['key']]
                    ? $value([...$field, 'required' => true])
                    : null)
                : $value($field);
        }

        return array_filter($row, static fn(mixed $one): bool => $one !== null);
    };
    if (!$input['required'] && mt_rand(0, 1) === 0) {
        return null;
    }

    return match ($input['type']) {
        'number' => round(
            $input['min'] >= 0 && $input['max'] > 100 * max(0.1, $input['min'])
                ? max(0.01, $input['min']) * ($input['max'] / max(0.01, $input['min'])) ** $between(0, 0.8)
                : $between($input['min'], $input['max']),
            4,
        ),
        'string' => $input['allowed'] === null ? 'a name' : $input['allowed'][mt_rand(0, count($input['allowed']) - 1)],
        'boolean' => mt_rand(0, 1) === 1,
        'strings' => array_values(array_filter($input['allowed'] ?? [], static fn(): bool => mt_rand(0, 3) === 0)),
        'object' => (object) $some($input['fields'] ?? [], alike: true),
        'array' => array_map(
            static fn(): object => (object) $some($input['fields'] ?? []),
            range(1, mt_rand(max(1, (int) $input['min']), max(1, min(5, (int) $input['max'])))),
        ),
    };
};

$calculators = $registry->describe();
usort($calculators, static fn(array $a, array $b): int => $a['name'] <=> $b['name']);
foreach ($calculators as $calculator) {
    mt_srand(crc32($calculator['name']));
    $good = 0;
    for ($try = 0; $try < 20 * $each && $good < $each; $try++) {
        $given = $shared = [];
        foreach ($calculator['inputs'] as $input) {
            $one = $value($input);
            if ($one !== null) {
                $given[$input['key']] = $one;
            }
        }
        $raw = json_decode((string) json_encode($given), true);
        try {
            $answer = $registry->run($calculator['name'], $raw)->toArray();
            $good++;
        } catch (BadInput $bad) {
            if ($try % 20 !== 0) {
                continue;
            }
            $answer = ['errors' => $bad->errors];
        } catch (Throwable $crash) {
            $answer = ['crash' => $crash->getMessage()];
        }
        echo $calculator['name'],
            ' ',
            json_encode($raw),
            ' → ',
            json_encode($answer, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_UNESCAPED_UNICODE),
            "\n";
        if ($calculator['name'] === 'model.run' && $good > 12) {
            break;
        }
    }
    fprintf(STDERR, "%-28s %d answers in %d tries\n", $calculator['name'], $good, $try);
}
