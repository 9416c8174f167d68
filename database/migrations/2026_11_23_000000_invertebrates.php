<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Snails, mussels and crayfish beside the fish, which some treatments kill. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('ALTER TABLE vessels ADD COLUMN invertebrates boolean NOT NULL DEFAULT false;');
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE vessels DROP COLUMN invertebrates;');
    }
};
