<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The address of a person's calendar feed, as a hash: who reads the book cannot follow it.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('ALTER TABLE users ADD COLUMN calendar_key char(64) UNIQUE');
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE users DROP COLUMN calendar_key');
    }
};
