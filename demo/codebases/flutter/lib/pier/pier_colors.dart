import 'package:flutter/material.dart';

/// The colours of the quayside.
abstract final class PierColors {
  static const Color ground = Color(0xfff6f1e7);
  static const Color sheet = Color(0xfffffdf8);
  static const Color text = Color(0xff1f3038);
  static const Color textSoft = Color(0xff55656b);
  static const Color weed = Color(0xff2c664b);
  static const Color alarm = Color(0xff9c3f28);
  static const double gap = 8;
}
