(module
  ;; Sums of products for the reader's network, four 32-bit numbers at a time (fixed-width SIMD). Addresses are in bytes.
  (memory (export "memory") 1)

  ;; out[r] = from[r] + sum over k of x[k] * matrix[k * rows + r]; rows is a multiple of 16, columns of 4; out may be from.
  (func $addProducts (param $out i32) (param $from i32) (param $matrix i32) (param $x i32) (param $rows i32) (param $columns i32)
    (local $stride i32) (local $end i32) (local $m i32) (local $v i32) (local $last i32)
    (local $a v128) (local $b v128) (local $c v128) (local $d v128) (local $s v128)
    (local.set $stride (i32.shl (local.get $rows) (i32.const 2)))
    (local.set $end (i32.add (local.get $out) (local.get $stride)))
    (local.set $last (i32.add (local.get $x) (i32.shl (local.get $columns) (i32.const 2))))
    (block $done
      (loop $block
        (br_if $done (i32.ge_u (local.get $out) (local.get $end)))
        (local.set $a (v128.load (local.get $from)))
        (local.set $b (v128.load offset=16 (local.get $from)))
        (local.set $c (v128.load offset=32 (local.get $from)))
        (local.set $d (v128.load offset=48 (local.get $from)))
        (local.set $m (local.get $matrix))
        (local.set $v (local.get $x))
        (block $summed
          (loop $column
            (br_if $summed (i32.ge_u (local.get $v) (local.get $last)))
            (local.set $s (v128.load32_splat (local.get $v)))
            (local.set $a (f32x4.add (local.get $a) (f32x4.mul (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (f32x4.add (local.get $b) (f32x4.mul (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (f32x4.add (local.get $c) (f32x4.mul (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (f32x4.add (local.get $d) (f32x4.mul (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $m (i32.add (local.get $m) (local.get $stride)))
            (local.set $s (v128.load32_splat offset=4 (local.get $v)))
            (local.set $a (f32x4.add (local.get $a) (f32x4.mul (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (f32x4.add (local.get $b) (f32x4.mul (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (f32x4.add (local.get $c) (f32x4.mul (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (f32x4.add (local.get $d) (f32x4.mul (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $m (i32.add (local.get $m) (local.get $stride)))
            (local.set $s (v128.load32_splat offset=8 (local.get $v)))
            (local.set $a (f32x4.add (local.get $a) (f32x4.mul (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (f32x4.add (local.get $b) (f32x4.mul (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (f32x4.add (local.get $c) (f32x4.mul (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (f32x4.add (local.get $d) (f32x4.mul (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $m (i32.add (local.get $m) (local.get $stride)))
            (local.set $s (v128.load32_splat offset=12 (local.get $v)))
            (local.set $a (f32x4.add (local.get $a) (f32x4.mul (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (f32x4.add (local.get $b) (f32x4.mul (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (f32x4.add (local.get $c) (f32x4.mul (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (f32x4.add (local.get $d) (f32x4.mul (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $m (i32.add (local.get $m) (local.get $stride)))
            (local.set $v (i32.add (local.get $v) (i32.const 16)))
            (br $column)))
        (v128.store (local.get $out) (local.get $a))
        (v128.store offset=16 (local.get $out) (local.get $b))
        (v128.store offset=32 (local.get $out) (local.get $c))
        (v128.store offset=48 (local.get $out) (local.get $d))
        (local.set $out (i32.add (local.get $out) (i32.const 64)))
        (local.set $from (i32.add (local.get $from) (i32.const 64)))
        (local.set $matrix (i32.add (local.get $matrix) (i32.const 64)))
        (br $block))))

  ;; The same for n vectors of x, each columns long, and n of out, each rows long; from goes on by fromStep bytes.
  (func (export "addProducts") (param $out i32) (param $from i32) (param $fromStep i32) (param $matrix i32) (param $x i32) (param $rows i32) (param $columns i32) (param $n i32)
    (block $done
      (loop $next
        (br_if $done (i32.eqz (local.get $n)))
        (call $addProducts (local.get $out) (local.get $from) (local.get $matrix) (local.get $x) (local.get $rows) (local.get $columns))
        (local.set $out (i32.add (local.get $out) (i32.shl (local.get $rows) (i32.const 2))))
        (local.set $from (i32.add (local.get $from) (local.get $fromStep)))
        (local.set $x (i32.add (local.get $x) (i32.shl (local.get $columns) (i32.const 2))))
        (local.set $n (i32.sub (local.get $n) (i32.const 1)))
        (br $next))))

  ;; For each of n words out[d] = from[d] + sum over its listed rows of matrix[row * width + d]; width is a multiple of 16.
  ;; The list, 32 bits each: for each word the address of its from, how many rows, their numbers.
  (func (export "addRows") (param $out i32) (param $matrix i32) (param $list i32) (param $width i32) (param $n i32)
    (local $count i32)
    (block $done
      (loop $next
        (br_if $done (i32.eqz (local.get $n)))
        (local.set $count (i32.load offset=4 (local.get $list)))
        (call $addRows (local.get $out) (i32.load (local.get $list)) (local.get $matrix) (i32.add (local.get $list) (i32.const 8)) (local.get $count) (local.get $width))
        (local.set $list (i32.add (local.get $list) (i32.shl (i32.add (local.get $count) (i32.const 2)) (i32.const 2))))
        (local.set $out (i32.add (local.get $out) (i32.shl (local.get $width) (i32.const 2))))
        (local.set $n (i32.sub (local.get $n) (i32.const 1)))
        (br $next))))

  (func $addRows (param $out i32) (param $from i32) (param $matrix i32) (param $list i32) (param $count i32) (param $width i32)
    (local $stride i32) (local $end i32) (local $m i32) (local $l i32) (local $last i32)
    (local $a v128) (local $b v128) (local $c v128) (local $d v128)
    (local.set $stride (i32.shl (local.get $width) (i32.const 2)))
    (local.set $end (i32.add (local.get $out) (local.get $stride)))
    (local.set $last (i32.add (local.get $list) (i32.shl (local.get $count) (i32.const 2))))
    (block $done
      (loop $block
        (br_if $done (i32.ge_u (local.get $out) (local.get $end)))
        (local.set $a (v128.load (local.get $from)))
        (local.set $b (v128.load offset=16 (local.get $from)))
        (local.set $c (v128.load offset=32 (local.get $from)))
        (local.set $d (v128.load offset=48 (local.get $from)))
        (local.set $l (local.get $list))
        (block $summed
          (loop $row
            (br_if $summed (i32.ge_u (local.get $l) (local.get $last)))
            (local.set $m (i32.add (local.get $matrix) (i32.mul (i32.load (local.get $l)) (local.get $stride))))
            (local.set $a (f32x4.add (local.get $a) (v128.load (local.get $m))))
            (local.set $b (f32x4.add (local.get $b) (v128.load offset=16 (local.get $m))))
            (local.set $c (f32x4.add (local.get $c) (v128.load offset=32 (local.get $m))))
            (local.set $d (f32x4.add (local.get $d) (v128.load offset=48 (local.get $m))))
            (local.set $l (i32.add (local.get $l) (i32.const 4)))
            (br $row)))
        (v128.store (local.get $out) (local.get $a))
        (v128.store offset=16 (local.get $out) (local.get $b))
        (v128.store offset=32 (local.get $out) (local.get $c))
        (v128.store offset=48 (local.get $out) (local.get $d))
        (local.set $out (i32.add (local.get $out) (i32.const 64)))
        (local.set $from (i32.add (local.get $from) (i32.const 64)))
        (local.set $matrix (i32.add (local.get $matrix) (i32.const 64)))
        (br $block))))

  ;; For each of n words lists which of its width numbers are above 0: how many in bytes of the list, then each with its place.
  ;; A word's list takes 8 (width + 1) bytes.
  (func (export "listPositive") (param $list i32) (param $x i32) (param $width i32) (param $n i32)
    (local $at i32) (local $k i32) (local $v f32)
    (block $done
      (loop $next
        (br_if $done (i32.eqz (local.get $n)))
        (local.set $at (i32.const 0))
        (local.set $k (i32.const 0))
        (loop $number
          (local.set $v (f32.load (local.get $x)))
          ;; Written always; kept by going on.
          (f32.store offset=8 (i32.add (local.get $list) (local.get $at)) (local.get $v))
          (i32.store offset=12 (i32.add (local.get $list) (local.get $at)) (local.get $k))
          (local.set $at (i32.add (local.get $at) (i32.shl (f32.gt (local.get $v) (f32.const 0)) (i32.const 3))))
          (local.set $x (i32.add (local.get $x) (i32.const 4)))
          (local.set $k (i32.add (local.get $k) (i32.const 1)))
          (br_if $number (i32.lt_u (local.get $k) (local.get $width))))
        (i32.store (local.get $list) (local.get $at))
        (local.set $list (i32.add (local.get $list) (i32.shl (i32.add (local.get $width) (i32.const 1)) (i32.const 3))))
        (local.set $n (i32.sub (local.get $n) (i32.const 1)))
        (br $next))))

  ;; addProducts for n words of which the numbers above 0 are listed.
  (func (export "addListed") (param $out i32) (param $from i32) (param $fromStep i32) (param $matrix i32) (param $list i32) (param $rows i32) (param $width i32) (param $n i32)
    (block $done
      (loop $next
        (br_if $done (i32.eqz (local.get $n)))
        (call $addListed (local.get $out) (local.get $from) (local.get $matrix) (local.get $list) (local.get $rows))
        (local.set $out (i32.add (local.get $out) (i32.shl (local.get $rows) (i32.const 2))))
        (local.set $from (i32.add (local.get $from) (local.get $fromStep)))
        (local.set $list (i32.add (local.get $list) (i32.shl (i32.add (local.get $width) (i32.const 1)) (i32.const 3))))
        (local.set $n (i32.sub (local.get $n) (i32.const 1)))
        (br $next))))

  (func $addListed (param $out i32) (param $from i32) (param $matrix i32) (param $list i32) (param $rows i32)
    (local $stride i32) (local $end i32) (local $m i32) (local $l i32) (local $last i32)
    (local $a v128) (local $b v128) (local $c v128) (local $d v128) (local $s v128)
    (local.set $stride (i32.shl (local.get $rows) (i32.const 2)))
    (local.set $end (i32.add (local.get $out) (local.get $stride)))
    (local.set $last (i32.add (local.get $list) (i32.load (local.get $list))))
    (block $done
      (loop $block
        (br_if $done (i32.ge_u (local.get $out) (local.get $end)))
        (local.set $a (v128.load (local.get $from)))
        (local.set $b (v128.load offset=16 (local.get $from)))
        (local.set $c (v128.load offset=32 (local.get $from)))
        (local.set $d (v128.load offset=48 (local.get $from)))
        (local.set $l (local.get $list))
        (block $summed
          (loop $number
            (br_if $summed (i32.ge_u (local.get $l) (local.get $last)))
            (local.set $s (v128.load32_splat offset=8 (local.get $l)))
            (local.set $m (i32.add (local.get $matrix) (i32.mul (i32.load offset=12 (local.get $l)) (local.get $stride))))
            (local.set $a (f32x4.add (local.get $a) (f32x4.mul (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (f32x4.add (local.get $b) (f32x4.mul (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (f32x4.add (local.get $c) (f32x4.mul (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (f32x4.add (local.get $d) (f32x4.mul (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $l (i32.add (local.get $l) (i32.const 8)))
            (br $number)))
        (v128.store (local.get $out) (local.get $a))
        (v128.store offset=16 (local.get $out) (local.get $b))
        (v128.store offset=32 (local.get $out) (local.get $c))
        (v128.store offset=48 (local.get $out) (local.get $d))
        (local.set $out (i32.add (local.get $out) (i32.const 64)))
        (local.set $from (i32.add (local.get $from) (i32.const 64)))
        (local.set $matrix (i32.add (local.get $matrix) (i32.const 64)))
        (br $block))))

  ;; e^x, |x| cut to 60, as a power of two: its whole part goes to the exponent's bits, the rest by the series of 2^f, |f| <= 1/2.
  (func $exp (param $x v128) (result v128)
    (local $y v128) (local $whole v128) (local $p v128)
    (local.set $y (f32x4.mul (f32x4.max (f32x4.min (local.get $x) (v128.const f32x4 60 60 60 60)) (v128.const f32x4 -60 -60 -60 -60))
      (v128.const f32x4 1.442695 1.442695 1.442695 1.442695)))
    (local.set $whole (f32x4.nearest (local.get $y)))
    (local.set $y (f32x4.sub (local.get $y) (local.get $whole)))
    (local.set $p (v128.const f32x4 0.0013333558 0.0013333558 0.0013333558 0.0013333558))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.009618129 0.009618129 0.009618129 0.009618129)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.05550411 0.05550411 0.05550411 0.05550411)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.2402265 0.2402265 0.2402265 0.2402265)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.6931472 0.6931472 0.6931472 0.6931472)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 1 1 1 1)))
    (f32x4.mul (local.get $p)
      (i32x4.shl (i32x4.add (i32x4.trunc_sat_f32x4_s (local.get $whole)) (v128.const i32x4 127 127 127 127)) (i32.const 23))))

  (func $sigmoid (param $x v128) (result v128)
    (f32x4.div (v128.const f32x4 1 1 1 1) (f32x4.add (v128.const f32x4 1 1 1 1) (call $exp (f32x4.neg (local.get $x))))))

  ;; The chain's rows have 16 numbers each. out = a * b, divided by the sum of all 16.
  (func $share (param $out i32) (param $a i32) (param $b i32)
    (local $w v128) (local $x v128) (local $y v128) (local $z v128) (local $s v128)
    (local.set $w (f32x4.mul (v128.load (local.get $a)) (v128.load (local.get $b))))
    (local.set $x (f32x4.mul (v128.load offset=16 (local.get $a)) (v128.load offset=16 (local.get $b))))
    (local.set $y (f32x4.mul (v128.load offset=32 (local.get $a)) (v128.load offset=32 (local.get $b))))
    (local.set $z (f32x4.mul (v128.load offset=48 (local.get $a)) (v128.load offset=48 (local.get $b))))
    (local.set $s (f32x4.add (f32x4.add (local.get $w) (local.get $x)) (f32x4.add (local.get $y) (local.get $z))))
    (local.set $s (f32x4.add (local.get $s) (i8x16.shuffle 8 9 10 11 12 13 14 15 0 1 2 3 4 5 6 7 (local.get $s) (local.get $s))))
    (local.set $s (f32x4.add (local.get $s) (i8x16.shuffle 4 5 6 7 0 1 2 3 12 13 14 15 8 9 10 11 (local.get $s) (local.get $s))))
    (local.set $s (f32x4.div (v128.const f32x4 1 1 1 1) (local.get $s)))
    (v128.store (local.get $out) (f32x4.mul (local.get $w) (local.get $s)))
    (v128.store offset=16 (local.get $out) (f32x4.mul (local.get $x) (local.get $s)))
    (v128.store offset=32 (local.get $out) (f32x4.mul (local.get $y) (local.get $s)))
    (v128.store offset=48 (local.get $out) (f32x4.mul (local.get $z) (local.get $s))))

  ;; e^score less the largest of the four, and 0 for a score below -1e8, which marks a label that may not be.
  (func $weigh (param $at i32) (param $top v128)
    (local $score v128)
    (local.set $score (v128.load (local.get $at)))
    (v128.store (local.get $at) (v128.and (call $exp (f32x4.sub (local.get $score) (local.get $top)))
      (f32x4.gt (local.get $score) (v128.const f32x4 -1e8 -1e8 -1e8 -1e8)))))

  ;; Forwards and backwards over a chain of n words (Rabiner 1989): p becomes how probable each label of each word is.
  ;; The list, 32 bits each: for each word the address of the pairs of its gap, and of what is added to its scores (-1e9 for a
  ;; label that may not be). back: from the pairs as columns by the label before to those by the label after, in bytes.
  ;; The row before p tells where a chain begins. room: a row of zeros, a row of ones, and two more.
  (func (export "chain") (param $p i32) (param $scores i32) (param $list i32) (param $back i32) (param $room i32) (param $n i32)
    (local $i i32) (local $at i32) (local $own i32) (local $ones i32) (local $after i32) (local $beta i32) (local $s v128)
    (local.set $ones (i32.add (local.get $room) (i32.const 64)))
    (local.set $after (i32.add (local.get $room) (i32.const 128)))
    (local.set $beta (i32.add (local.get $room) (i32.const 192)))
    (block $done
      (loop $word
        (br_if $done (i32.ge_u (local.get $i) (local.get $n)))
        (local.set $at (i32.add (local.get $scores) (i32.shl (local.get $i) (i32.const 6))))
        (local.set $own (i32.add (local.get $list) (i32.shl (local.get $i) (i32.const 3))))
        (call $add (local.get $at) (i32.load offset=4 (local.get $own)))
        (local.set $s (f32x4.max (f32x4.max (v128.load (local.get $at)) (v128.load offset=16 (local.get $at)))
          (f32x4.max (v128.load offset=32 (local.get $at)) (v128.load offset=48 (local.get $at)))))
        (local.set $s (f32x4.max (local.get $s) (i8x16.shuffle 8 9 10 11 12 13 14 15 0 1 2 3 4 5 6 7 (local.get $s) (local.get $s))))
        (local.set $s (f32x4.max (local.get $s) (i8x16.shuffle 4 5 6 7 0 1 2 3 12 13 14 15 8 9 10 11 (local.get $s) (local.get $s))))
        (call $weigh (local.get $at) (local.get $s))
        (call $weigh (i32.add (local.get $at) (i32.const 16)) (local.get $s))
        (call $weigh (i32.add (local.get $at) (i32.const 32)) (local.get $s))
        (call $weigh (i32.add (local.get $at) (i32.const 48)) (local.get $s))
        (call $addProducts (local.get $after) (local.get $room) (i32.load (local.get $own)) (i32.sub (local.get $p) (i32.const 64)) (i32.const 16) (i32.const 16))
        (call $share (local.get $p) (local.get $after) (local.get $at))
        (local.set $p (i32.add (local.get $p) (i32.const 64)))
        (local.set $i (i32.add (local.get $i) (i32.const 1)))
        (br $word)))
    ;; The last word's are right; back from there.
    (call $share (local.get $beta) (local.get $ones) (local.get $ones))
    (local.set $p (i32.sub (local.get $p) (i32.const 64)))
    (block $whole
      (loop $word
        (local.set $i (i32.sub (local.get $i) (i32.const 1)))
        (br_if $whole (i32.le_s (local.get $i) (i32.const 0)))
        (local.set $at (i32.add (local.get $scores) (i32.shl (local.get $i) (i32.const 6))))
        (local.set $own (i32.add (local.get $list) (i32.shl (local.get $i) (i32.const 3))))
        (call $share (local.get $after) (local.get $at) (local.get $beta))
        (call $addProducts (local.get $beta) (local.get $room) (i32.add (i32.load (local.get $own)) (local.get $back)) (local.get $after) (i32.const 16) (i32.const 16))
        (local.set $p (i32.sub (local.get $p) (i32.const 64)))
        (call $share (local.get $p) (local.get $p) (local.get $beta))
        (br $word))))

  ;; Adds a row to another.
  (func $add (param $to i32) (param $what i32)
    (v128.store (local.get $to) (f32x4.add (v128.load (local.get $to)) (v128.load (local.get $what))))
    (v128.store offset=16 (local.get $to) (f32x4.add (v128.load offset=16 (local.get $to)) (v128.load offset=16 (local.get $what))))
    (v128.store offset=32 (local.get $to) (f32x4.add (v128.load offset=32 (local.get $to)) (v128.load offset=32 (local.get $what))))
    (v128.store offset=48 (local.get $to) (f32x4.add (v128.load offset=48 (local.get $to)) (v128.load offset=48 (local.get $what)))))

  ;; out[r] = from[r] + scale * sum over k of x[k] * matrix[k, r], x and matrix whole numbers of 16 bits, of which a sum never
  ;; passes 32 bits; rows is a multiple of 16, columns of 4. The matrix goes by pairs of columns: for each pair all rows, two numbers each.
  (func $addWhole (param $out i32) (param $from i32) (param $matrix i32) (param $x i32) (param $rows i32) (param $columns i32) (param $scale v128)
    (local $stride i32) (local $end i32) (local $m i32) (local $v i32) (local $last i32)
    (local $a v128) (local $b v128) (local $c v128) (local $d v128) (local $s v128)
    (local.set $stride (i32.shl (local.get $rows) (i32.const 2)))
    (local.set $end (i32.add (local.get $out) (local.get $stride)))
    (local.set $last (i32.add (local.get $x) (i32.shl (local.get $columns) (i32.const 1))))
    (block $done
      (loop $block
        (br_if $done (i32.ge_u (local.get $out) (local.get $end)))
        (local.set $a (v128.const i32x4 0 0 0 0))
        (local.set $b (v128.const i32x4 0 0 0 0))
        (local.set $c (v128.const i32x4 0 0 0 0))
        (local.set $d (v128.const i32x4 0 0 0 0))
        (local.set $m (local.get $matrix))
        (local.set $v (local.get $x))
        (block $summed
          (loop $pair
            (br_if $summed (i32.ge_u (local.get $v) (local.get $last)))
            (local.set $s (v128.load32_splat (local.get $v)))
            (local.set $a (i32x4.add (local.get $a) (i32x4.dot_i16x8_s (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (i32x4.add (local.get $b) (i32x4.dot_i16x8_s (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (i32x4.add (local.get $c) (i32x4.dot_i16x8_s (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (i32x4.add (local.get $d) (i32x4.dot_i16x8_s (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $m (i32.add (local.get $m) (local.get $stride)))
            (local.set $s (v128.load32_splat offset=4 (local.get $v)))
            (local.set $a (i32x4.add (local.get $a) (i32x4.dot_i16x8_s (local.get $s) (v128.load (local.get $m)))))
            (local.set $b (i32x4.add (local.get $b) (i32x4.dot_i16x8_s (local.get $s) (v128.load offset=16 (local.get $m)))))
            (local.set $c (i32x4.add (local.get $c) (i32x4.dot_i16x8_s (local.get $s) (v128.load offset=32 (local.get $m)))))
            (local.set $d (i32x4.add (local.get $d) (i32x4.dot_i16x8_s (local.get $s) (v128.load offset=48 (local.get $m)))))
            (local.set $m (i32.add (local.get $m) (local.get $stride)))
            (local.set $v (i32.add (local.get $v) (i32.const 8)))
            (br $pair)))
        (v128.store (local.get $out) (f32x4.add (v128.load (local.get $from)) (f32x4.mul (local.get $scale) (f32x4.convert_i32x4_s (local.get $a)))))
        (v128.store offset=16 (local.get $out) (f32x4.add (v128.load offset=16 (local.get $from)) (f32x4.mul (local.get $scale) (f32x4.convert_i32x4_s (local.get $b)))))
        (v128.store offset=32 (local.get $out) (f32x4.add (v128.load offset=32 (local.get $from)) (f32x4.mul (local.get $scale) (f32x4.convert_i32x4_s (local.get $c)))))
        (v128.store offset=48 (local.get $out) (f32x4.add (v128.load offset=48 (local.get $from)) (f32x4.mul (local.get $scale) (f32x4.convert_i32x4_s (local.get $d)))))
        (local.set $out (i32.add (local.get $out) (i32.const 64)))
        (local.set $from (i32.add (local.get $from) (i32.const 64)))
        (local.set $matrix (i32.add (local.get $matrix) (i32.const 64)))
        (br $block))))

  ;; Numbers between -1 and 1, up to the address end, as whole numbers of 16 bits, 1 as 8191.
  (func $whole (param $to i32) (param $from i32) (param $end i32)
    (loop $eight
      (v128.store (local.get $to) (i16x8.narrow_i32x4_s
        (i32x4.trunc_sat_f32x4_s (f32x4.nearest (f32x4.mul (v128.load (local.get $from)) (v128.const f32x4 8191 8191 8191 8191))))
        (i32x4.trunc_sat_f32x4_s (f32x4.nearest (f32x4.mul (v128.load offset=16 (local.get $from)) (v128.const f32x4 8191 8191 8191 8191))))))
      (local.set $to (i32.add (local.get $to) (i32.const 16)))
      (local.set $from (i32.add (local.get $from) (i32.const 32)))
      (br_if $eight (i32.lt_u (local.get $from) (local.get $end)))))

  ;; One direction of the gated layer over n words. sums: n x 3 hidden, what the inputs say of the gates (reset, keep, candidate);
  ;; h: the first of n rows of hidden, with a row of zeros before and after them;
  ;; recurrent: room for hidden numbers, and for as many of 16 bits; scale: what a step of the two matrices, times one of $whole, is worth.
  (func (export "recur") (param $sums i32) (param $toGates i32) (param $toCandidate i32) (param $recurrent i32) (param $h i32)
    (param $n i32) (param $hidden i32) (param $backwards i32) (param $scale f32)
    (local $rounded i32) (local $width i32) (local $stride i32) (local $left i32) (local $before i32) (local $zeros i32) (local $k i32) (local $sum i32)
    (local $keep v128)
    (local.set $width (i32.shl (local.get $hidden) (i32.const 2)))
    (local.set $zeros (i32.sub (local.get $h) (local.get $width)))
    (local.set $rounded (i32.add (local.get $recurrent) (local.get $width)))
    (local.set $stride (i32.mul (local.get $width) (i32.const 3)))
    (local.set $before (local.get $zeros))
    (local.set $left (local.get $n))
    (if (local.get $backwards) (then
      (local.set $sums (i32.add (local.get $sums) (i32.mul (i32.sub (local.get $n) (i32.const 1)) (local.get $stride))))
      (local.set $h (i32.add (local.get $h) (i32.mul (i32.sub (local.get $n) (i32.const 1)) (local.get $width))))
      (local.set $before (i32.add (local.get $h) (local.get $width)))
      (local.set $stride (i32.sub (i32.const 0) (local.get $stride)))))
    (block $done
      (loop $word
        (br_if $done (i32.eqz (local.get $left)))
        (call $whole (local.get $rounded) (local.get $before) (i32.add (local.get $before) (local.get $width)))
        (call $addWhole (local.get $sums) (local.get $sums) (local.get $toGates) (local.get $rounded) (i32.shl (local.get $hidden) (i32.const 1)) (local.get $hidden) (f32x4.splat (local.get $scale)))
        (call $addWhole (local.get $recurrent) (local.get $zeros) (local.get $toCandidate) (local.get $rounded) (local.get $hidden) (local.get $hidden) (f32x4.splat (local.get $scale)))
        (local.set $k (i32.const 0))
        (block $written
          (loop $four
            (br_if $written (i32.ge_u (local.get $k) (local.get $width)))
            (local.set $sum (i32.add (local.get $sums) (local.get $k)))
            (local.set $keep (call $sigmoid (v128.load (i32.add (local.get $sum) (local.get $width)))))
            (v128.store (i32.add (local.get $h) (local.get $k))
              (f32x4.add
                (f32x4.mul (local.get $keep) (v128.load (i32.add (local.get $before) (local.get $k))))
                (f32x4.mul (f32x4.sub (v128.const f32x4 1 1 1 1) (local.get $keep))
                  ;; tanh x = 2 sigmoid 2x - 1
                  (f32x4.sub
                    (f32x4.mul (v128.const f32x4 2 2 2 2)
                      (call $sigmoid (f32x4.mul (v128.const f32x4 2 2 2 2)
                        (f32x4.add (v128.load (i32.add (local.get $sum) (i32.shl (local.get $width) (i32.const 1))))
                          (f32x4.mul (call $sigmoid (v128.load (local.get $sum))) (v128.load (i32.add (local.get $recurrent) (local.get $k))))))))
                    (v128.const f32x4 1 1 1 1)))))
            (local.set $k (i32.add (local.get $k) (i32.const 16)))
            (br $four)))
        (local.set $before (local.get $h))
        (local.set $h (select (i32.sub (local.get $h) (local.get $width)) (i32.add (local.get $h) (local.get $width)) (local.get $backwards)))
        (local.set $sums (i32.add (local.get $sums) (local.get $stride)))
        (local.set $left (i32.sub (local.get $left) (i32.const 1)))
        (br $word)))))
