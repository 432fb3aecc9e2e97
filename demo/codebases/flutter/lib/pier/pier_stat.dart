import 'package:flutter/material.dart';

/// One number and what it means.
class PierStat extends StatelessWidget {
  const PierStat({
    super.key,
    required this.heading,
    required this.amount,
    this.detail = '',
  });

  final String heading;
  final String amount;
  final String detail;

  @override
  Widget build(BuildContext context) {
    return Column(
      children: [
        Text(heading),
        Text(amount),
        Text(detail),
      ],
    );
  }
}
