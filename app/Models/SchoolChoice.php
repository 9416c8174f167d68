<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The school one system follows in one topic.
 *
 * @property string $topic
 * @property string $school
 * @property ?string $reason
 */
final class SchoolChoice extends Part {}
