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
    use PlainAttributes;

    protected $guarded = [];
}
