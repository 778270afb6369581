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
  ;; The list: for each word how many rows, then their numbers, 32 bits each.
  (func (export "addRows") (param $out i32) (param $from i32) (param $matrix i32) (param $list i32) (param $width i32) (param $n i32)
    (local $count i32)
    (block $done
      (loop $next
        (br_if $done (i32.eqz (local.get $n)))
        (local.set $count (i32.load (local.get $list)))
        (local.set $list (i32.add (local.get $list) (i32.const 4)))
        (call $addRows (local.get $out) (local.get $from) (local.get $matrix) (local.get $list) (local.get $count) (local.get $width))
        (local.set $list (i32.add (local.get $list) (i32.shl (local.get $count) (i32.const 2))))
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

  ;; Negative numbers become 0; count is a multiple of 4.
  (func (export "rectify") (param $at i32) (param $count i32)
    (local $end i32)
    (local.set $end (i32.add (local.get $at) (i32.shl (local.get $count) (i32.const 2))))
    (block $done
      (loop $next
        (br_if $done (i32.ge_u (local.get $at) (local.get $end)))
        (v128.store (local.get $at) (f32x4.max (v128.load (local.get $at)) (v128.const f32x4 0 0 0 0)))
        (local.set $at (i32.add (local.get $at) (i32.const 16)))
        (br $next))))

  ;; 1 / (1 + e^-x), with e^-x as a power of two: its whole part goes to the exponent's bits, the rest by the series of 2^f, |f| <= 1/2.
  (func $sigmoid (param $x v128) (result v128)
    (local $y v128) (local $whole v128) (local $p v128)
    (local.set $y (f32x4.mul (f32x4.max (f32x4.min (local.get $x) (v128.const f32x4 40 40 40 40)) (v128.const f32x4 -40 -40 -40 -40))
      (v128.const f32x4 -1.442695 -1.442695 -1.442695 -1.442695)))
    (local.set $whole (f32x4.nearest (local.get $y)))
    (local.set $y (f32x4.sub (local.get $y) (local.get $whole)))
    (local.set $p (v128.const f32x4 0.0013333558 0.0013333558 0.0013333558 0.0013333558))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.009618129 0.009618129 0.009618129 0.009618129)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.05550411 0.05550411 0.05550411 0.05550411)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.2402265 0.2402265 0.2402265 0.2402265)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 0.6931472 0.6931472 0.6931472 0.6931472)))
    (local.set $p (f32x4.add (f32x4.mul (local.get $p) (local.get $y)) (v128.const f32x4 1 1 1 1)))
    (local.set $p (f32x4.mul (local.get $p)
      (i32x4.shl (i32x4.add (i32x4.trunc_sat_f32x4_s (local.get $whole)) (v128.const i32x4 127 127 127 127)) (i32.const 23))))
    (f32x4.div (v128.const f32x4 1 1 1 1) (f32x4.add (v128.const f32x4 1 1 1 1) (local.get $p))))

  ;; One direction of the gated layer over n words. sums: n x 3 hidden, what the inputs say of the gates (reset, keep, candidate);
  ;; h: the first of n rows of hidden, with a row of zeros before and after them; recurrent: room for hidden numbers.
  (func (export "recur") (param $sums i32) (param $toGates i32) (param $toCandidate i32) (param $recurrent i32) (param $h i32)
    (param $n i32) (param $hidden i32) (param $backwards i32)
    (local $width i32) (local $stride i32) (local $left i32) (local $before i32) (local $zeros i32) (local $k i32) (local $sum i32)
    (local $keep v128)
    (local.set $width (i32.shl (local.get $hidden) (i32.const 2)))
    (local.set $zeros (i32.sub (local.get $h) (local.get $width)))
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
        (call $addProducts (local.get $sums) (local.get $sums) (local.get $toGates) (local.get $before) (i32.shl (local.get $hidden) (i32.const 1)) (local.get $hidden))
        (call $addProducts (local.get $recurrent) (local.get $zeros) (local.get $toCandidate) (local.get $before) (local.get $hidden) (local.get $hidden))
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
