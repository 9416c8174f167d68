<?php

declare(strict_types=1);

namespace Ironwort\Core\Catalogue;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Result;

/** Input and results as JSON text, the same for the command line and for HTTP. */
final readonly class JsonText
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    /**
     * @return array<array-key, mixed>
     *
     * @throws BadInput under the key `input` when the text is not one JSON object
     */
    public static function object(string $text): array
    {
        if (trim($text) === '') {
            throw BadInput::at('input', 'One JSON object is expected, as {"temp_c": 20}.');
        }
        try {
            $value = json_decode($text, true, 16, JSON_THROW_ON_ERROR);
        } catch (\JsonException $fault) {
            throw BadInput::at('input', "This is not valid JSON: {$fault->getMessage()}.");
        }
        if (!is_array($value) || !str_starts_with(ltrim($text), '{')) {
            throw BadInput::at('input', 'One JSON object is expected, as {"temp_c": 20}.');
        }

        return $value;
    }

    public static function result(Result $result): string
    {
        return json_encode($result->toArray(), self::FLAGS);
    }

    public static function errors(BadInput $bad): string
    {
        return json_encode(['errors' => (object) $bad->errors], self::FLAGS);
    }

    public static function list(Registry $registry): string
    {
        return json_encode($registry->describe(), self::FLAGS);
    }
}
