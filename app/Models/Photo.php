<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The picture of a note, under the note's own key.
 *
 * @property string $id
 * @property string $type
 * @property string $picture base64
 */
final class Photo extends Model
{
    use HasKey;

    /** By the bytes a file of the kind begins with. */
    public const KINDS = ["\xFF\xD8\xFF" => 'image/jpeg', "\x89PNG" => 'image/png', 'RIFF' => 'image/webp'];

    public const MOST_BYTES = 4_000_000;

    protected $guarded = [];
}
